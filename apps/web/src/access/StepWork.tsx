import { captureRecords, cautionsOn, jobLedger, longest, type Step } from '@patient-badger/core';
import { SNAGS, snagsFor } from '@patient-badger/knowledge';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { minutesText } from '../design/words.ts';
import type { JobView } from '../job/JobView.ts';
import { Cautions, useUnacknowledged } from '../trace/Cautions.tsx';
import { CaptureCard, useWithWaitingPhotos } from './CaptureCard.tsx';
import { LooseList } from './LooseList.tsx';
import { ReasonButton } from './ReasonButton.tsx';
import { useNow } from './useNow.ts';
import { stillWaits, WaitCard } from './WaitCard.tsx';

/** One opening step at a time: its cautions, what to take down first, what comes off; done, will not come, or passed over. */
export function StepWork({ view: { job, pack, state, machine }, step }: { view: JobView; step: Step }) {
  const { write, problem } = useRecord(job.id);
  const [stuck, setStuck] = useState(false);
  const now = useNow(state.waits.length > 0);
  const cautions = cautionsOn(pack, step.cautions, []);
  const captures = useWithWaitingPhotos(job.id, captureRecords(pack, [step.id], state));
  const waiting = pack.steps.filter(({ id, wait }) => state.reached.includes(id) && stillWaits(state, wait, now));
  const reasons = [
    useUnacknowledged(state, cautions).length > 0 ? 'Confirm the caution first.' : null,
    waiting.length > 0 ? `Wait for it first: ${waiting.map(({ wait }) => wait?.name).join(', ')}.` : null,
    captures.some(({ taken }) => !taken) ? 'Take down what the step loses first, or say why not.' : null,
  ].filter((each) => each !== null);
  const blocked = reasons.length > 0;
  const done = () => void write({ kind: 'stepDone', step: step.id });
  useKeys({ ' ': blocked ? undefined : done });
  const known = state.stuck.find((each) => each.step === step.id);

  return (
    <Card tone="next">
      {waiting.map(({ id, wait }) => wait && <WaitCard key={id} jobId={job.id} state={state} wait={wait} />)}
      <View className="flex-row items-baseline justify-between gap-3">
        <Text look="head" className="flex-1">
          {step.name}
        </Text>
        <Text look="label">
          {minutesText(step.minutes)}
          {longest(step) > step.minutes ? `, at worst ${minutesText(longest(step))}` : ''}
        </Text>
      </View>
      {step.helper ? <Text look="danger">Two people for this one.</Text> : null}
      <Text>{step.how}</Text>
      {step.tools.length > 0 ? <Text look="soft">Lay out: {step.tools.join(', ')}</Text> : null}
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {captures.map((record) => (
        <CaptureCard key={record.capture.id} jobId={job.id} state={state} record={record} camera={machine?.instruments ?? false} />
      ))}
      {step.loose.length > 0 ? <Text look="label">Comes off</Text> : null}
      <LooseList jobId={job.id} step={step} ledger={jobLedger(pack, state)} />
      {known ? <Text look="danger">It would not come: {SNAGS.find(({ id }) => id === known.snag)?.name ?? known.snag}.</Text> : null}
      {stuck || known ? (
        <Snags view={{ jobId: job.id, plastic: step.loose.some(({ intoPlastic }) => intoPlastic) }} step={step} known={known?.snag} />
      ) : null}
      {reasons.map((reason) => (
        <Text key={reason} look="soft">
          {reason}
        </Text>
      ))}
      <Button look="primary" big disabled={blocked} label={`Done: ${step.name}`} testID="step-done" onPress={done} />
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          label={stuck ? 'It comes after all' : 'It will not come'}
          testID="step-stuck"
          onPress={() => setStuck(!stuck)}
        />
      </View>
      <ReasonButton
        label="Pass over it"
        ask="Why is it not needed? (off already, not there on this machine)"
        testID="step-skip"
        onReason={(reason) => void write({ kind: 'stepSkipped', step: step.id, reason })}
      />
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Card>
  );
}

interface SnagProps {
  readonly view: { readonly jobId: string; readonly plastic: boolean };
  readonly step: Step;
  readonly known: string | undefined;
}

/** What is in the way, and the usual remedies with their risk, mildest first; those that would harm what is near are marked. */
function Snags({ view: { jobId, plastic }, step, known }: SnagProps) {
  const { write, problem } = useRecord(jobId);
  const snags = snagsFor(step.loose.map(({ kind }) => kind));
  const [open, setOpen] = useState(known);
  return (
    <View className="gap-2">
      <Text look="label">What is in the way?</Text>
      {snags.map(({ id, name, remedies }) => (
        <View key={id} className="gap-2">
          <Button
            label={name}
            look={open === id ? 'chosen' : 'plain'}
            testID={`snag-${id}`}
            onPress={() => {
              setOpen(id);
              if (known !== id) void write({ kind: 'stepStuck', step: step.id, snag: id });
            }}
          />
          {open === id
            ? remedies.map((remedy) => (
                <View key={remedy.name} className="border-l-4 border-line pl-3">
                  <Text look="strong">
                    {remedy.name}, {minutesText(remedy.minutes)}
                  </Text>
                  <Text>{remedy.how}</Text>
                  <Text look="soft">Risk: {remedy.risk}</Text>
                  {remedy.notNear.length > 0 ? (
                    <Text look={plastic && remedy.notNear.includes('plastic') ? 'danger' : 'soft'}>
                      Not near: {remedy.notNear.join(', ')}
                    </Text>
                  ) : null}
                </View>
              ))
            : null}
        </View>
      ))}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </View>
  );
}
