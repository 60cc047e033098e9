import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { NONE_OF_THESE } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { faultName } from '../wording/faultName.ts';
import { percent } from '../wording/words.ts';
import { type JobView } from '../job/JobView.ts';
import { Accept } from './VerdictAnswers.tsx';
import { alsoSure } from './alsoSure.ts';
import { leftAtThat } from './leftAtThat.ts';
import { NextLook } from './NextLook.tsx';
import { NoneLeads, Unexplained } from './NoneLeads.tsx';

/** What stands at the top: the decision, the verdict, or the next look. */
export function Suspects({ view }: { view: JobView }) {
  const { job, pack, state, trace } = view;
  const router = useRouter();
  const toVerdict = (
    <Button variant="primary" big label={shared.seeTheReasonsAndDecide} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
  );
  if (state.decided) {
    const decided = pack.faults.find(({ id }) => id === state.decided?.fault);
    const part = decided?.remedy.part;
    return (
      <Card tone="next">
        <Text variant="label">{t.decided}</Text>
        <Text variant="head">{decided?.name ?? (state.decided.fault === NONE_OF_THESE ? state.decided.note : t.setRightWhatWasFound)}</Text>
        {decided ? <Text>{decided.remedy.text}</Text> : null}
        <Button
          variant="primary"
          big
          label={part ? shared.measureTheGear : shared.setItRightAndProve}
          onPress={() => router.navigate(`/jobs/${job.id}${part ? `/gear/${part}` : '/close'}`)}
        />
      </Card>
    );
  }
  if (trace.end?.kind === 'noneOfThese') return <NoneLeads view={view} />;
  const left = leftAtThat(view);
  if (left) {
    return (
      <Card tone="next">
        <Text variant="label">{left.label}</Text>
        <Text variant="head">{left.head}</Text>
        {toVerdict}
      </Card>
    );
  }
  const verdict = pack.faults.find(({ id }) => id === trace.verdict?.fault);
  if (!verdict || !trace.verdict) {
    return (
      <>
        <NextLook view={view} />
        <Unexplained view={view} />
        <PerhapsBoth view={view} />
      </>
    );
  }
  const both = alsoSure(view, verdict.id);
  return (
    <Card tone="next">
      <Text variant="label">
        {t.sureWithMoreAndPercent(both.length > 0 ? t.verdictBoth : t.verdict, percent(trace.verdict.probability))}
      </Text>
      <Text variant="head">{verdict.name}</Text>
      <Text>{verdict.remedy.text}</Text>
      {both.map(({ id, name, remedy }) => (
        <View key={id} className="gap-1">
          <Text variant="head">{t.and(name)}</Text>
          <Text>{remedy.text}</Text>
        </View>
      ))}
      {toVerdict}
      <Accept view={view} fault={verdict} besides={both} probability={trace.verdict.probability} here />
    </Card>
  );
}

/** The likeliest two that may be there at once, as the two that they are. */
function PerhapsBoth({ view: { pack, trace } }: { view: JobView }) {
  const [pair] = trace.pairs;
  if (!pair) return null;
  const names = pair.faults.map((id) => faultName(pack, id));
  const why = pack.together.find(({ faults, share }) => share > 0 && faults.every((id) => pair.faults.includes(id)))?.why;
  return (
    <Card>
      <Text variant="label">{t.perhapsBoth(percent(pair.probability))}</Text>
      {names.map((name) => (
        <Text key={name} variant="strong">
          {name}
        </Text>
      ))}
      {why ? <Text variant="soft">{why}</Text> : null}
    </Card>
  );
}
