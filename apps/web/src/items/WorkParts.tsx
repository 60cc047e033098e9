import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { remediesOfJob } from '@patient-badger/core/job';
import { useState } from 'react';
import { View } from 'react-native';
import { usePrices, type AskedPrice } from '../data/usePrices.ts';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PriceFields } from '../match/PriceFields.tsx';
import { partOfWork } from '../match/partOfWork.ts';
import { usePriceForm } from '../match/usePriceForm.ts';
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
    .flatMap((part): WantedPart[] => {
      const { name, gear } = partOfWork(pack, part);
      const isChosen = gear !== undefined && state.gears[gear]?.chosen !== undefined;
      return name === undefined || here.has(name) || isChosen ? [] : [{ name, count: part.count, gear }];
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

function WorkPart({ view: { job, state, machine }, part }: { view: JobView; part: WantedPart }) {
  const { name, count, gear } = part;
  const { write, problem } = useRecord(job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  const [asked] = usePrices(state, machine?.modelId).filter((price) => (gear === undefined ? price.what === name : price.gear === gear));
  const [ordering, setOrdering] = useState(false);
  return (
    <View className="gap-2">
      <Text variant="strong">{countedName({ name, count })}</Text>
      {asked ? (
        <Text variant="soft">
          {asked.supplier}: {money(asked.priceMinor, currency)}, {daysText(asked.leadDays)}
        </Text>
      ) : null}
      {ordering ? (
        <OrderPart jobId={job.id} part={part} asked={asked} onClose={() => setOrdering(false)} />
      ) : (
        <View className="flex-row gap-2">
          <Button
            className="flex-1"
            label={shared.fromTheShop}
            testID="work-part-here"
            onPress={() => void write({ kind: 'itemAdded', name, count, state: 'inHand' })}
          />
          <Button className="flex-1" label={shared.orderIt} testID="work-part-ask" onPress={() => setOrdering(true)} />
        </View>
      )}
      <Problem text={problem} />
    </View>
  );
}

interface OrderPartProps {
  readonly jobId: string;
  readonly part: WantedPart;
  readonly asked: AskedPrice | undefined;
  readonly onClose: () => void;
}

/** Whose it is, for how much and in how many days; then it is on its way. */
function OrderPart({ jobId, part: { name, count, gear }, asked, onClose }: OrderPartProps) {
  const { writeAll, problem } = useRecord(jobId);
  const { fields, said } = usePriceForm(asked);
  const order = async () => {
    const price = said();
    if (!price) return;
    const { supplier, priceMinor } = price;
    await writeAll([
      { kind: 'priceAsked', ...(gear !== undefined && { gear }), what: name, ...price },
      { kind: 'itemAdded', name, count, state: 'ordered', supplier, priceMinor },
    ]);
  };
  return (
    <>
      <PriceFields {...fields} />
      <Problem text={problem} />
      <FormFoot label={shared.ordered} testID="work-part-order" onKeep={() => void order()} onClose={onClose} />
    </>
  );
}
