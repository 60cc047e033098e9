import { t } from '@patient-badger/wording/shared';
import type { Pack, TraceOutput } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useRecord, useTakeBack } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { faultName } from '../wording/faultName.ts';
import { readingText } from '../wording/readingText.ts';
import type { JobView } from './JobView.ts';
import { resultName, shiftReason } from '@patient-badger/wording/results';
import { SURE_WORDS } from '../wording/sureWords.ts';

/** What was seen so far, and whom each look moved the most; the last can be taken back right here. */
export function Trail({ view: { job, state, pack, trace } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const last = state.decided ? undefined : state.observations.at(-1);
  const { takeBack, problem: notTakenBack } = useTakeBack(job.id, last?.entryId);
  useKeys({ u: () => void takeBack() });
  return (
    <View className="gap-3">
      <Text variant="head">{t.seenSoFar}</Text>
      {state.observations.length + state.ownLooks.length === 0 ? <Text variant="soft">{t.nothingYet}</Text> : null}
      {state.observations.map(({ look, result, entryId, reading }) => (
        <View key={entryId} className="border-l-4 border-line pl-3">
          <Text variant="soft">{pack.looks.find(({ id }) => id === look)?.name ?? look}</Text>
          <Text variant="strong">{resultName(pack, look, result)}</Text>
          {reading ? <Text variant="soft">{readingText(reading)}</Text> : null}
          {explanationOf(pack, trace, { look, result }).map((words) => (
            <Text key={words}>{words}</Text>
          ))}
          {movedMost(trace, look).map((words) => (
            <Text key={words} variant="soft">
              {words}
            </Text>
          ))}
        </View>
      ))}
      {state.ownLooks.map(({ entryId, saw, fault, speaks, sure }) => (
        <View key={entryId} className="border-l-4 border-line pl-3">
          <Text variant="soft">{t.seenBesides(SURE_WORDS[sure].toLowerCase())}</Text>
          <Text variant="strong">{saw}</Text>
          <Text variant="soft">
            {speaks}: {faultName(pack, fault)}
          </Text>
          {state.decided ? null : (
            <Button variant="quiet" label={t.takeThisBack} onPress={() => void write({ kind: 'withdrawn', entry: entryId })} />
          )}
        </View>
      ))}
      {last ? <Button variant="quiet" label={t.takeTheLastLookBack} onPress={() => void takeBack()} /> : null}
      <Problem text={problem ?? notTakenBack} />
      <ToldByMachine pack={pack} shifts={trace.factShifts} />
    </View>
  );
}

/** Which suspect explains a find that a sound machine would not show; nothing where it is nothing unusual. */
function explanationOf(pack: Pack, { finds }: TraceOutput, { look, result }: { look: string; result: string }): string[] {
  const find = finds.find((each) => each.look === look && each.result === result);
  if (!find) return [];
  const names = find.explainedBy.slice(0, 2).map((id) => faultName(pack, id));
  return [names.length > 0 ? t.explainedBy(names.join(t.or)) : t.nothingLikelyOnTheList];
}

/** How many faults are named that one reason moves. */
const FIRST_NAMES = 4;

/** What the owner's words and the machine's facts did to the priors, reason by reason. */
function ToldByMachine({ pack, shifts }: { pack: Pack; shifts: TraceOutput['factShifts'] }) {
  if (shifts.length === 0) return null;
  const names = (list: typeof shifts) => {
    const strongest = [...list].sort((p, q) => Math.abs(Math.log(q.factor)) - Math.abs(Math.log(p.factor)));
    const shown = strongest.slice(0, FIRST_NAMES).map(({ fault }) => faultName(pack, fault));
    return [...shown, ...(list.length > FIRST_NAMES ? [t.andMore(list.length - FIRST_NAMES)] : [])].join('; ');
  };
  return (
    <>
      <Text variant="head">{t.toldByTheMachine}</Text>
      {[...new Set(shifts.map((shift) => shiftReason(pack, shift)))].map((reason) => {
        const because = shifts.filter((shift) => shiftReason(pack, shift) === reason);
        const [more, less] = [because.filter(({ factor }) => factor > 1), because.filter(({ factor }) => factor < 1)];
        return (
          <View key={reason} className="border-l-4 border-line pl-3">
            <Text>{t.because(reason)}</Text>
            {more.length > 0 ? <Text variant="soft">{t.moreLikely(names(more))}</Text> : null}
            {less.length > 0 ? <Text variant="soft">{t.lessLikely(names(less))}</Text> : null}
          </View>
        );
      })}
    </>
  );
}

/** Whom a look spoke for and whom against, the strongest of each by what it weighs now or weighed before. */
function movedMost(trace: TraceOutput, look: string): string[] {
  const moves = trace.suspects.flatMap(({ name, because, probability }) =>
    because
      .filter((each) => each.look === look && Math.abs(each.bits) >= 0.1)
      .map(({ bits }) => ({ name, bits, weight: Math.abs(bits) * Math.max(probability, probability / 2 ** bits, 0.02) })),
  );
  const strongest = (list: typeof moves) =>
    list.reduce<(typeof moves)[number] | null>((best, each) => (!best || each.weight > best.weight ? each : best), null);
  const [towards, away] = [strongest(moves.filter(({ bits }) => bits > 0)), strongest(moves.filter(({ bits }) => bits < 0))];
  if (!towards && !away) return [t.movedNothingMuch];
  return [...(towards ? [t.towards(towards.name)] : []), ...(away ? [t.awayFrom(away.name)] : [])];
}
