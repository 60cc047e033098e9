import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import { proofPlan } from '@patient-badger/core/job';
import { cautionsOn, type ProofPhase } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { Cautions, useUnacknowledged } from '../job/Cautions.tsx';
import type { JobView } from '../job/JobView.ts';
import { FollowUps } from './FollowUps.tsx';
import { ProofCard } from './ProofCard.tsx';

const PHASES: Readonly<Record<ProofPhase, string>> = {
  hand: shared.byHand,
  unloaded: t.poweredWithTheLoadOff,
  inUse: shared.inUse,
  later: t.afterDaysAndMonths,
};

/** How one knows that it is right again, from the hand to the months after; one that fails sends back to tracing. */
export function ProofPlan({ view }: { view: JobView }) {
  const { job, state, pack } = view;
  const { write, problem } = useRecord(job.id);
  const plan = proofPlan(pack, state);
  const cautions = plan.flatMap(({ proofs }) => proofs).flatMap((proof) => cautionsOn(pack, proof.cautions, []));
  const blocked = useUnacknowledged(state, cautions).length > 0;
  return (
    <>
      <Text variant="head">{t.proveIt}</Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {plan
        .filter(({ phase }) => phase !== 'later')
        .map(({ phase, proofs }) => (
          <View key={phase} className="gap-3">
            <Text variant="label">{PHASES[phase]}</Text>
            {proofs.map((proof) => (
              <ProofCard key={proof.id} view={view} proof={proof} blocked={blocked} onWrite={write} />
            ))}
          </View>
        ))}
      {problem ? (
        <Card>
          <Text variant="danger">{problem}</Text>
        </Card>
      ) : null}
      <Text variant="label">{PHASES.later}</Text>
      <FollowUps view={view} />
    </>
  );
}
