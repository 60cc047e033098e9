import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { instrumentOn, type Aim } from '../instrument/instruments.ts';
import { useInstrument } from '../instrument/useInstrument.ts';

/** The figure off the dial indicator, as it would be typed. */
export function ReadDial({ jobId, play, onRead }: { jobId: string; play: NonNullable<Aim['play']>; onRead: (text: string) => void }) {
  const { problem, busy, read } = useInstrument(instrumentOn(jobId, 'dialIndicator'));
  const ask = async () => {
    const got = await read({ play, zeroed: true });
    if (got) onRead(got.value.toFixed(3));
  };
  return (
    <>
      <Button label={busy ? shared.reading : t.readTheDialIndicator} disabled={busy} testID="read-dial" onPress={() => void ask()} />
      <Problem text={problem} />
    </>
  );
}
