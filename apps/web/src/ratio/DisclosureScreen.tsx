import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
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
  if (!done) return <Text>{t.noOdometerWasBroughtForward}</Text>;
  const lines: readonly (readonly [string, string])[] = [
    [shared.machine, [machine?.label, machine?.modelName].filter(Boolean).join(', ')],
    [t.serial, machine?.serial ?? ''],
    [shared.owner, machine?.owner ?? ''],
    [t.readingBefore, `${done.before} ${done.unit}`],
    [t.readingAfter, `${done.after} ${done.unit}`],
    [t.distanceMissed, `${done.missed} ${done.unit}`],
    [t.reason, done.reason],
    [
      t.done,
      `${format(parseISO(done.at), 'd MMMM yyyy')}, ${shop?.people.find(({ id }) => id === done.by)?.name ?? done.by}, ${shop?.name ?? ''}`,
    ],
  ];
  return (
    <>
      <Text variant="title">{t.odometerDisclosure}</Text>
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
      <Text>{t.theOdometerStoodStillAnd}</Text>
      <Text>{t.settingAnOdometerIsRegulated}</Text>
      <Text variant="soft">{t.signedByTheShopOwner}</Text>
      <View className="no-print">
        <Button label={shared.printTheSheet} onPress={() => window.print()} />
      </View>
    </>
  );
}
