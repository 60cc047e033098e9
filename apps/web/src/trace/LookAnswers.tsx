import { resultName } from '@patient-badger/wording/results';
import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import type { InstrumentReading } from '@patient-badger/core/gear';
import { CANNOT_TELL, cautionsOn, packModel, settledOnSight, type Look, type Pack } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { useUnacknowledged } from '../job/Cautions.tsx';
import type { JobView } from '../job/JobView.ts';
import { AskedBack } from './AskedBack.tsx';
import { ByInstrument } from './ByInstrument.tsx';
import { Results } from './Results.tsx';
import { TwoSides } from './TwoSides.tsx';

interface Props {
  readonly view: JobView;
  readonly look: Look;
  /** Everything that the look needs is open and as it should be. */
  readonly ready: boolean;
}

/** What came of a look: one press, asked back where it settles a fault by itself. */
export function LookAnswers({ view: { job, pack, state, machine }, look, ready }: Props) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const blocked = useUnacknowledged(state, cautionsOn(pack, look.cautions, [])).length > 0;
  const seen = state.observations.filter((each) => each.look === look.id).at(-1);

  /** What was pressed and settles a fault, until it is asked back. */
  const [pressed, setPressed] = useState<string | null>(null);

  const keep = async (result: string, reading?: InstrumentReading) => {
    if (await write({ kind: 'lookRecorded', look: look.id, result, ...(reading && { reading }) })) router.navigate(`/jobs/${job.id}`);
  };
  const settled = (result: string) => settledOnSight(pack, { look: look.id, result });
  const say = (result: string) => (settled(result).length > 0 ? setPressed(result) : void keep(result));
  useKeys({ '0': blocked ? undefined : () => say(CANNOT_TELL) });
  return (
    <>
      {blocked ? <Text variant="danger">{t.confirmTheCautionFirstSomebody}</Text> : null}
      {blocked || !ready ? null : (
        <ByInstrument jobId={job.id} pack={pack} look={look} onBench={machine?.instruments ?? false} say={keep} />
      )}
      {pressed !== null ? (
        <AskedBack pack={pack} faults={settled(pressed)} onYes={() => void keep(pressed)} onNo={() => setPressed(null)} />
      ) : (
        // Digits typed before it is open would answer a look that was not taken.
        <Answers pack={pack} look={look} disabled={blocked} keys={ready} before={seen?.result} onSay={say} />
      )}
      <Button variant="quiet" disabled={blocked} label={shared.iCannotTell} onPress={() => say(CANNOT_TELL)} />
      <Problem text={problem} />
    </>
  );
}

interface AnswersProps {
  readonly pack: Pack;
  readonly look: Look;
  readonly disabled: boolean;
  readonly keys: boolean;
  readonly before: string | undefined;
  readonly onSay: (result: string) => void;
}

/** What can be seen, of both sides at once where two are watched. */
function Answers({ pack, look, keys, ...rest }: AnswersProps) {
  if (look.kind === 'kinematic' && look.beside !== undefined) return <TwoSides pack={pack} look={look} {...rest} />;
  return (
    <Results
      results={packModel(pack).outcomes.get(look.id) ?? []}
      nameOf={(result) => resultName(pack, look.id, result)}
      keys={keys}
      {...rest}
    />
  );
}
