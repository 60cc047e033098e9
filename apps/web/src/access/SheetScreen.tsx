import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import { captureRecords } from '@patient-badger/core/job';
import { accessPlan, stepsNamed, reassembly, type LooseItem } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { saidText } from './CaptureCard.tsx';
import { looseText, tightText } from './looseText.ts';
import { withWords } from './putBackWords.ts';
import { usualAim } from './usualAim.ts';

/** The way in and back on paper, with a box for each step and each fastener. */
export const SheetScreen = () => (
  <JobFrame stage="open" back={(id) => `/jobs/${id}/open`}>
    {(view) => <Sheet view={view} />}
  </JobFrame>
);

function Sheet({ view }: { view: JobView }) {
  const { pack, state, machine } = view;
  const { name, aim } = usualAim(view);
  const plan = accessPlan(pack, aim, { opened: [] });
  const opened = [...new Set([...state.reached, ...(plan?.steps.map(({ id }) => id) ?? [])])];
  const steps = stepsNamed(pack.steps, opened);
  const cautions = new Set(steps.flatMap((step) => step.cautions));
  return (
    <>
      <Text variant="title">{machine?.label ?? pack.name}</Text>
      <Text variant="soft">{[machine?.modelName, machine?.serial, machine?.owner].filter(Boolean).join(' · ')}</Text>
      <Text>{t.toReachWithName(name)}</Text>
      {plan ? (
        <Text>{t.inBackLayOut(minutesText(plan.minutes), minutesText(plan.minutesBack), plan.tools.join(', ') || t.nothingSpecial)}</Text>
      ) : null}
      {pack.cautions
        .filter(({ id }) => cautions.has(id))
        .map(({ id, text }) => (
          <Text key={id} variant="danger">
            ! {text}
          </Text>
        ))}
      <Text variant="head">{t.in2}</Text>
      {steps.map(({ id, name: what, how, loose, helper }) => (
        <View key={id} className="gap-1 border-b border-line pb-2">
          <Line done={state.reached.includes(id)} text={`${what}${helper ? t.twoPeopleInline : ''}`} />
          <Text variant="soft">{how}</Text>
          {captureRecords(pack, [id], state).map((record) => (
            <Line
              key={record.capture.id}
              done={record.taken}
              text={t.takeDown(record.capture.ask, record.taken ? `(${saidText(record)})` : '____________')}
              small
            />
          ))}
          {loose.map((item) => (
            <Fastener key={item.id} item={item} />
          ))}
        </View>
      ))}
      <Text variant="head">{shared.back}</Text>
      {reassembly(pack, opened)
        .map(withWords)
        .map(({ id, name: what, how, closes }) => (
          <View key={id} className="gap-1 border-b border-line pb-2">
            <Line done={state.closingDone.includes(id)} text={what} />
            <Text variant="soft">{how}</Text>
            {pack.steps
              .filter((each) => closes.includes(each.id))
              .flatMap(({ captures }) => captures)
              .map(({ id: capture, back }) => (
                <Line key={capture} text={back} small />
              ))}
          </View>
        ))}
      <View className="no-print">
        <Button variant="primary" label={shared.printTheSheet} onPress={() => window.print()} />
      </View>
    </>
  );
}

const Line = ({ text, done = false, small = false }: { text: string; done?: boolean | undefined; small?: boolean | undefined }) => (
  <Text variant={small ? 'soft' : 'strong'}>
    {done ? '☑' : '☐'} {text}
  </Text>
);

const Fastener = ({ item }: { item: LooseItem }) => {
  const tight = tightText(item);
  return <Line text={`${looseText(item)}, ${item.lives}${tight ? `; ${tight}` : ''}`} small />;
};
