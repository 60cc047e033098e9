import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { remediesOfJob } from '@patient-badger/core/job';
import { useState } from 'react';
import { View } from 'react-native';
import { usePrices } from '../data/usePrices.ts';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PriceFields } from '../match/PriceFields.tsx';
import { NO_PRICE, readPrice, type ReadPrice, type TypedPrice } from '../match/readPrice.ts';
import { countedName } from '../wording/countedName.ts';
import { daysText, money } from '../wording/words.ts';

interface WantedPart {
  readonly name: string;
  readonly count: number;
  /** The card of the gear, where it is one. */
  readonly gear: string | undefined;
}

/** What the work that was decided on uses and is not on the bill yet: nobody types what the family knows. */
function wantedParts({ pack, state }: JobView): readonly WantedPart[] {
  const here = new Set(state.items.map(({ name }) => name));
  return remediesOfJob(pack, state)
    .flatMap(({ parts }) => parts)
    .flatMap(({ gear: body, item, count }): WantedPart[] => {
      const card = pack.gears.find((each) => each.body === body);
      const name = card?.name ?? item;
      const isChosen = card !== undefined && state.gears[card.id]?.chosen !== undefined;
      return name === undefined || here.has(name) || isChosen ? [] : [{ name, count, gear: card?.id }];
    });
}

/** The parts that the work wants, each taken from the shop or ordered by a press, by the price that was asked for it once. */
export function WorkParts({ view }: { view: JobView }) {
  const parts = wantedParts(view);
  if (parts.length === 0) return null;
  return (
    <Card testID="work-parts">
      <Text variant="label">{t.theWorkWants}</Text>
      {parts.map((part) => (
        <WorkPart key={part.name} view={view} part={part} />
      ))}
    </Card>
  );
}

function WorkPart({ view: { job, state, machine }, part: { name, count, gear } }: { view: JobView; part: WantedPart }) {
  const { write, writeAll, problem } = useRecord(job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  const [asked] = usePrices(state, machine?.modelId).filter((price) => (gear === undefined ? price.what === name : price.gear === gear));
  const [typed, setTyped] = useState<TypedPrice | null>(null);
  const [problems, setProblems] = useState<Extract<ReadPrice, { problems: unknown }>['problems']>({});
  const order = async () => {
    const read = readPrice(typed ?? NO_PRICE);
    if ('problems' in read) return setProblems(read.problems);
    const { supplier, priceMinor } = read.said;
    await writeAll([
      { kind: 'priceAsked', ...(gear !== undefined && { gear }), what: name, ...read.said },
      { kind: 'itemAdded', name, count, state: 'ordered', supplier, priceMinor },
    ]);
  };
  const known = asked && { supplier: asked.supplier, price: (asked.priceMinor / 100).toFixed(2), days: String(asked.leadDays) };
  return (
    <View className="gap-2">
      <Text variant="strong">{countedName({ name, count })}</Text>
      {asked ? (
        <Text variant="soft">
          {asked.supplier}: {money(asked.priceMinor, currency)}, {daysText(asked.leadDays)}
        </Text>
      ) : null}
      {typed ? (
        <>
          <PriceFields typed={typed} problems={problems} onChange={setTyped} />
          <FormFoot label={shared.ordered} testID="work-part-order" onKeep={() => void order()} onClose={() => setTyped(null)} />
        </>
      ) : (
        <View className="flex-row gap-2">
          <Button
            className="flex-1"
            label={shared.fromTheShop}
            testID="work-part-here"
            onPress={() => void write({ kind: 'itemAdded', name, count, state: 'inHand' })}
          />
          <Button className="flex-1" label={shared.orderIt} testID="work-part-ask" onPress={() => setTyped(known ?? NO_PRICE)} />
        </View>
      )}
      <Problem text={problem} />
    </View>
  );
}
