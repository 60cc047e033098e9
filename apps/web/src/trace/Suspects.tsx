import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { remediesOfJob } from '@patient-badger/core/job';
import { gearsOfFault, NONE_OF_THESE, usualRemedy } from '@patient-badger/core/machine';
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
    const [part] = decided ? gearsOfFault(pack, decided) : [];
    const other = nowLeads(view);
    const work = remediesOfJob(pack, state);
    return (
      <Card tone="next">
        {other ? (
          <View className="gap-2" testID="looks-otherwise">
            <Text variant="danger">{t.looksSayOtherwise(other.name, percent(other.probability))}</Text>
            {toVerdict}
          </View>
        ) : null}
        <Text variant="label">{t.decided}</Text>
        <Text variant="head">{decided?.name ?? (state.decided.fault === NONE_OF_THESE ? state.decided.note : t.setRightWhatWasFound)}</Text>
        {work.map(({ id, name }) => (
          <Text key={id}>{name}</Text>
        ))}
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
      <Text>{usualRemedy(pack, verdict)?.name}</Text>
      {both.map((fault) => (
        <View key={fault.id} className="gap-1">
          <Text variant="head">{t.and(fault.name)}</Text>
          <Text>{usualRemedy(pack, fault)?.name}</Text>
        </View>
      ))}
      {toVerdict}
      <Accept view={view} fault={verdict} besides={both} probability={trace.verdict.probability} here />
    </Card>
  );
}

/** What the looks speak for by now, where that is not what was decided. */
function nowLeads({ trace, state: { decided, found } }: JobView) {
  const [first] = trace.suspects;
  const isSettled = !first || first.fault === decided?.fault || found.includes(first.fault);
  return isSettled || first.probability <= LEADS ? null : first;
}

/** As likely as not, and more. */
const LEADS = 0.5;

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
