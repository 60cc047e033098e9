import { cautionsOn } from '@patient-badger/core';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { Cautions, useUnacknowledged } from '../job/Cautions.tsx';

/** How one knows that it is right again; one that fails sends back to tracing. */
export function Proofs({ view: { job, state, pack } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const cautions = pack.proofs.flatMap((proof) => cautionsOn(pack, proof.cautions, []));
  const blocked = useUnacknowledged(state, cautions).length > 0;
  return (
    <>
      <Text variant="head">Prove it</Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {pack.proofs.map((proof) => {
        const result = state.proofs.find((each) => each.proof === proof.id);
        return (
          <Card key={proof.id} tone={result ? 'plain' : 'next'}>
            <Text variant="strong">{proof.name}</Text>
            <Text>{proof.how}</Text>
            <View role="radiogroup" aria-label={proof.name} className="flex-row gap-2">
              <Button
                className="flex-1"
                disabled={blocked}
                label="It does"
                testID={`passed-${proof.id}`}
                variant={result?.passed ? 'chosen' : 'plain'}
                checked={result?.passed === true}
                onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: true })}
              />
              <Button
                className="flex-1"
                disabled={blocked}
                label="It does not"
                variant={result?.passed === false ? 'danger' : 'plain'}
                checked={result?.passed === false}
                onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: false })}
              />
            </View>
            {result?.passed === false ? (
              <Text>
                Then it is not over: go back to Trace. What was seen is still there, and the decision can be taken back in the log.
              </Text>
            ) : null}
          </Card>
        );
      })}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </>
  );
}
