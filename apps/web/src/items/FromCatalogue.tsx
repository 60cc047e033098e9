import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { partMatch, type Part } from '@patient-badger/contract';
import type { PartAttributes } from '@patient-badger/core/parts';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { offersOf, waitText } from '../match/offers.ts';
import { attributeName, fitText } from '../wording/attributeWords.ts';
import { money } from '../wording/words.ts';
import { readCount, readSizes, type TypedItem } from './readItem.ts';

const SHOWN = 5;
const found = z.array(partMatch);

/** Parts of the catalogue of this kind, those with the typed dimensions first; a press orders one from its cheapest seller. */
export function FromCatalogue({ view, typed, onDone }: { view: JobView; typed: TypedItem; onDone: () => void }) {
  const [open, setOpen] = useState(false);
  const { write, problem } = useRecord(view.job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  const wanted = wantedOf(typed);
  const key = JSON.stringify(wanted);
  const query = useQuery({
    queryKey: ['plain-parts', key],
    queryFn: () => call('/api/parts/search', found, { json: { wanted, limit: SHOWN } }),
    enabled: open,
  });
  const order = async (part: Part) => {
    const seller = offersOf(part)[0];
    const { id: partId, name, partNumber, attributes } = part;
    const made = await write({
      kind: 'itemAdded',
      state: 'ordered',
      name,
      partNumber,
      partId,
      attributes,
      ...(typed.type && { type: typed.type }),
      count: readCount(typed.count) ?? 1,
      ...(seller && { supplier: seller.supplier, priceMinor: seller.priceMinor }),
    });
    if (made) onDone();
  };
  if (!open) return <Button variant="quiet" label={t.lookInTheCatalogue} testID="item-catalogue" onPress={() => setOpen(true)} />;
  return (
    <>
      {query.isPending ? <Text variant="soft">{shared.looking}</Text> : null}
      {query.error ? <Text variant="danger">{query.error.message}</Text> : null}
      {query.data?.length === 0 ? <Text>{t.theCatalogueHasNoneOf}</Text> : null}
      {shown(query.data ?? []).map(({ part, fit }) => {
        const off = fit.attributes.find(({ state }) => state === 'doesNotFit' || state === 'fitsAfterWork');
        const seller = offersOf(part)[0];
        return (
          <Button
            key={part.id}
            label={`${part.partNumber} · ${part.name}`}
            detail={[
              off ? `${attributeName(off.name).toLowerCase()} ${fitText(off)}` : t.fitsInEveryDimensionThat,
              seller && t.pressToOrder(money(seller.priceMinor, currency), waitText(seller)),
            ]
              .filter(Boolean)
              .join('; ')}
            testID={`order-${part.partNumber}`}
            onPress={() => void order(part)}
          />
        );
      })}
      <Problem text={problem} />
    </>
  );
}

/** Those that fit; beside them, or instead where none does, the nearest that do not. */
function shown(list: z.output<typeof found>): z.output<typeof found> {
  const fits = list.filter(({ fit }) => fit.attributes.every(({ state }) => state !== 'doesNotFit'));
  const near = list.filter((each) => !fits.includes(each)).slice(0, fits.length > 0 ? 1 : 3);
  return [...fits, ...near];
}

/** The kind and what of its dimensions can be read as numbers by now. */
function wantedOf(typed: TypedItem): PartAttributes {
  const { sizes, problems } = readSizes(typed);
  return { ...(typed.type && { type: typed.type }), ...(Object.keys(problems).length === 0 && sizes) };
}
