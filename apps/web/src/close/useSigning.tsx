import { t } from '@patient-badger/wording/close';
import type { EntryPayload } from '@patient-badger/core/job';
import { useState } from 'react';
import { newEntryId } from '../data/record.ts';
import { useConnection, useMe } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { ProveForm } from '../shell/ProveForm.tsx';

interface Asking {
  readonly id: string;
  readonly payload: EntryPayload;
}

/**
 * Writes entries that their writer signs by PIN at that moment, where somebody can be hurt by the job; others are
 * written at once. Without a connection the entry is written as pending, and counts once the PIN has reached the server.
 */
export function useSigning(jobId: string, { isSafetyCritical }: { readonly isSafetyCritical: boolean }) {
  const { press, problem } = useRecord(jobId);
  const me = useMe();
  const isDown = useConnection() === 'down';
  const [asking, setAsking] = useState<Asking | null>(null);
  const write = ({ id, payload }: Asking) => press(t.sign(payload.kind), () => [payload], id);
  const sign = (payload: EntryPayload) => {
    const next = { id: newEntryId(), payload };
    if (isSafetyCritical && !isDown) setAsking(next);
    else void write(next);
  };
  const done = () => {
    if (asking) void write(asking);
    setAsking(null);
  };
  const form = asking && me ? <ProveForm key={asking.id} person={me} action={t.signIt} signs={[asking.id]} onDone={done} /> : null;
  return { sign, form, problem, isDown };
}
