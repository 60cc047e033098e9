import { t } from '@patient-badger/wording/prove';
import { failedProof, isWithin, type Entry, type EntryPayload, type Payload } from '@patient-badger/core/job';
import type { Proof } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Desk } from '../desk/Desk.tsx';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import type { JobView } from '../job/JobView.ts';
import { limitText } from '../wording/limitText.ts';
import { SpeedPoints } from './SpeedPoints.tsx';
import { TURNS } from './turns.ts';

interface Props {
  readonly view: JobView;
  readonly proof: Proof;
  readonly blocked: boolean;
  readonly onWrite: (payload: EntryPayload) => Promise<Entry | null>;
}

/** One proof: how it is done, what is read and whose limit that is, and whether the machine passed. */
export function ProofCard({ view, proof, blocked, onWrite }: Props) {
  const result = view.state.proofs.find((each) => each.proof === proof.id);
  // Null until somebody types: an emptied field is empty, and what is no number is no figure.
  const [text, setText] = useState<string | null>(null);
  const shown = text ?? String(result?.figure ?? '');
  const [figure] = typedNumbers(shown);
  const read = Number.isFinite(figure) ? figure : undefined;
  const wrong = shown.trim() !== '' && read === undefined ? t.thatIsNoNumber : undefined;
  const { figure: asked } = proof;
  const done = (passed: boolean, more: Partial<Payload<'proofDone'>> = {}) =>
    void onWrite({ kind: 'proofDone', proof: proof.id, passed, ...(read !== undefined && { figure: read }), ...more });
  return (
    <Card tone={result ? 'plain' : 'next'}>
      <Text variant="strong">{proof.name}</Text>
      <Text>{proof.how}</Text>
      {asked ? (
        <>
          <Field
            label={`${asked.ask}, ${asked.unit}`}
            inputMode="decimal"
            value={shown}
            onChangeText={setText}
            problem={wrong}
            testID={`figure-${proof.id}`}
          />
          <Text variant="soft">
            {limitText(asked)} {asked.unit} ({asked.source})
          </Text>
          {read === undefined ? null : (
            <Text variant={isWithin(asked, read) ? 'strong' : 'danger'} testID={`judged-${proof.id}`}>
              {isWithin(asked, read) ? t.withinThat : t.outsideOfThat}
            </Text>
          )}
        </>
      ) : null}
      {proof.desk === 'speedometer' ? (
        <SpeedPoints
          view={view}
          proof={proof}
          points={result?.points ?? []}
          onPoints={(points, passed) => done(passed, { points: [...points] })}
        />
      ) : null}
      {proof.desk === 'turns' ? <Desk spec={TURNS} context={{ view }} onWrite={({ note, passed }) => done(passed, { note })} /> : null}
      {result?.note ? <Text variant="soft">{result.note}</Text> : null}
      <View role="radiogroup" aria-label={proof.name} className="flex-row gap-2">
        <Button
          className="flex-1"
          disabled={blocked || wrong !== undefined}
          label={t.itDoes}
          testID={`passed-${proof.id}`}
          variant={result?.passed ? 'chosen' : 'plain'}
          checked={result?.passed === true}
          onPress={() => done(true, result?.points && { points: result.points })}
        />
        <Button
          className="flex-1"
          disabled={blocked || wrong !== undefined}
          label={t.itDoesNot}
          testID={`failed-${proof.id}`}
          variant={result?.passed === false ? 'danger' : 'plain'}
          checked={result?.passed === false}
          onPress={() => done(false, result?.points && { points: result.points })}
        />
      </View>
      {result?.passed === false ? <BackToTrace view={view} proof={proof} /> : null}
    </Card>
  );
}

interface FailedProps extends Pick<Props, 'view'> {
  readonly proof: Pick<Proof, 'id' | 'name' | 'failing'>;
}

/** It is not over: what the proof showed goes to the tracing, and the decision is taken back. */
export function BackToTrace({ view: { job, pack, state }, proof }: FailedProps) {
  const router = useRouter();
  const { writeAll, problem } = useRecord(job.id);
  const { failing } = proof;
  // Where failing can mean several things, the look that it repeats is asked.
  const again = failing && failing.result === undefined ? pack.looks.find(({ id }) => id === failing.look) : undefined;
  const decision = state.active.findLast(({ payload }) => payload.kind === 'decided');
  const go = async () => {
    const takenBack = decision ? [{ kind: 'withdrawn' as const, entry: decision.id }] : [];
    if (!(await writeAll([...failedProof(pack, state, { failing, saw: t.failedAfterItWasSet(proof.name) }), ...takenBack]))) return;
    router.navigate(`/jobs/${job.id}${again ? `/look/${again.id}` : ''}`);
  };
  return (
    <>
      <Text>{t.thenItIsNotOver}</Text>
      {decision ? (
        <Button
          variant="primary"
          label={again ? t.traceOn(again.name) : t.traceOnWithWhatIt}
          detail={again ? t.whatItShowsNow : undefined}
          testID={`trace-on-${proof.id}`}
          onPress={() => void go()}
        />
      ) : null}
      <Problem text={problem} />
    </>
  );
}
