import { t } from '@patient-badger/wording/orders';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { PriceFields } from '../match/PriceFields.tsx';
import { NO_PRICE, readPrice, type ReadPrice } from '../match/readPrice.ts';
import type { OptionDraft } from './decision.ts';

interface Props {
  readonly jobId: string;
  readonly pack: Pick<Pack, 'gears'>;
  readonly unasked: NonNullable<OptionDraft['unasked']>;
}

/** A price for each part that stands there by a guide: asked once, it is the price of every way that takes the part, here and at the next job. */
export function UnaskedPrices({ jobId, pack, unasked }: Props) {
  const [asked, setAsked] = useState<string | null>(null);
  const parts = unasked.map(({ gear: body, item }) => {
    const card = pack.gears.find((each) => each.body === body);
    return { what: card?.name ?? item ?? '', gear: card?.id };
  });
  const names = [...new Set(parts.map(({ what }) => what))].filter((what) => what !== '');
  return names.map((what) =>
    asked === what ? (
      <PriceForm key={what} jobId={jobId} gear={parts.find((each) => each.what === what)?.gear} what={what} onDone={() => setAsked(null)} />
    ) : (
      <Button key={what} variant="quiet" label={t.priceOfParts(what)} testID={`ask-price-${what}`} onPress={() => setAsked(what)} />
    ),
  );
}

function PriceForm({ jobId, gear, what, onDone }: { jobId: string; gear: string | undefined; what: string; onDone: () => void }) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState(NO_PRICE);
  const [problems, setProblems] = useState<Extract<ReadPrice, { problems: unknown }>['problems']>({});
  const keep = async () => {
    const read = readPrice(typed);
    if ('problems' in read) return setProblems(read.problems);
    if (await write({ kind: 'priceAsked', ...(gear !== undefined && { gear }), what, ...read.said })) onDone();
  };
  return (
    <>
      <Text variant="label">{what}</Text>
      <PriceFields typed={typed} problems={problems} onChange={setTyped} />
      <Problem text={problem} />
      <FormFoot label={t.keepThePrice} testID="keep-asked-price" onKeep={() => void keep()} onClose={onDone} />
    </>
  );
}
