import { t } from '@patient-badger/wording/orders';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { PriceFields } from '../match/PriceFields.tsx';
import { partOfWork } from '../match/partOfWork.ts';
import { usePriceForm } from '../match/usePriceForm.ts';
import type { OptionDraft } from './decision.ts';

interface Props {
  readonly jobId: string;
  readonly pack: Pick<Pack, 'gears'>;
  readonly unasked: NonNullable<OptionDraft['unasked']>;
}

/** A price for each part that stands there by a guide: asked once, it is the price of every way that takes the part, here and at the next job. */
export function UnaskedPrices({ jobId, pack, unasked }: Props) {
  const [asked, setAsked] = useState<string | null>(null);
  const parts = unasked.map((part) => partOfWork(pack, part));
  const names = [...new Set(parts.flatMap(({ name }) => name ?? []))];
  return names.map((what) =>
    asked === what ? (
      <PriceForm key={what} jobId={jobId} gear={parts.find(({ name }) => name === what)?.gear} what={what} onDone={() => setAsked(null)} />
    ) : (
      <Button key={what} variant="quiet" label={t.priceOfParts(what)} testID={`ask-price-${what}`} onPress={() => setAsked(what)} />
    ),
  );
}

function PriceForm({ jobId, gear, what, onDone }: { jobId: string; gear: string | undefined; what: string; onDone: () => void }) {
  const { write, problem } = useRecord(jobId);
  const { fields, said } = usePriceForm();
  const keep = async () => {
    const price = said();
    if (price && (await write({ kind: 'priceAsked', ...(gear !== undefined && { gear }), what, ...price }))) onDone();
  };
  return (
    <>
      <Text variant="label">{what}</Text>
      <PriceFields {...fields} />
      <Problem text={problem} />
      <FormFoot label={t.keepThePrice} testID="keep-asked-price" onKeep={() => void keep()} onClose={onDone} />
    </>
  );
}
