import { format, parseISO } from 'date-fns';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';

/** The sheet that goes with a vehicle whose odometer was brought forward: before, after, why, and by whom. For print. */
export const DisclosureScreen = () => (
  <JobFrame stage="match" back={(id) => `/jobs/${id}/ratio?desk=odometer`}>
    {(view) => <Sheet view={view} />}
  </JobFrame>
);

function Sheet({ view: { state, machine } }: { view: JobView }) {
  const shop = useShop().data;
  const { odometerCorrected: done } = state;
  if (!done) return <Text>No odometer was brought forward on this job.</Text>;
  const lines: readonly (readonly [string, string])[] = [
    ['Machine', [machine?.label, machine?.modelName].filter(Boolean).join(', ')],
    ['Serial', machine?.serial ?? ''],
    ['Owner', machine?.owner ?? ''],
    ['Reading before', `${done.before} ${done.unit}`],
    ['Reading after', `${done.after} ${done.unit}`],
    ['Distance missed', `${done.missed} ${done.unit}`],
    ['Reason', done.reason],
    [
      'Done',
      `${format(parseISO(done.at), 'd MMMM yyyy')}, ${shop?.people.find(({ id }) => id === done.by)?.name ?? done.by}, ${shop?.name ?? ''}`,
    ],
  ];
  return (
    <>
      <Text variant="title">Odometer disclosure</Text>
      <Card>
        {lines.map(([name, text]) => (
          <View key={name} className="flex-row gap-2">
            <Text variant="label" className="w-[130px]">
              {name}
            </Text>
            <Text className="flex-1">{text}</Text>
          </View>
        ))}
      </Card>
      <Text>The odometer stood still and was brought forward by the distance it missed. It was not turned back.</Text>
      <Text>
        Setting an odometer is regulated: local law decides whether, by whom and with what notice it may be done. This sheet stays with the
        vehicle.
      </Text>
      <Text variant="soft">Signed by the shop: ____________________ Owner: ____________________</Text>
      <View className="no-print">
        <Button label="Print the sheet" onPress={() => window.print()} />
      </View>
    </>
  );
}
