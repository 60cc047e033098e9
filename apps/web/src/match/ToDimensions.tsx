import { t } from '@patient-badger/wording/orders';
import { t as match } from '@patient-badger/wording/match';
import type { GearCard } from '@patient-badger/core/machine';
import { missingForOrder, type PartAttributes } from '@patient-badger/core/parts';
import { addDays, format } from 'date-fns';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useShop } from '../data/shop.ts';
import { usePrices } from '../data/usePrices.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeName } from '../wording/attributeWords.ts';
import { daysText, money } from '../wording/words.ts';
import { PriceFields } from './PriceFields.tsx';
import { usePriceForm } from './usePriceForm.ts';

interface Props {
  readonly view: JobView;
  readonly card: GearCard;
  readonly wanted: PartAttributes;
  readonly probability: number;
}

/** So much of an id names a drawing: nobody draws so many gears that two are alike. */
const NUMBER_LETTERS = 8;

/** A gear ordered by what it must be, from whoever makes or finds one: by telephone, with a request or an order on paper. */
export function ToDimensions(props: Props) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button label={t.askAnySeller} detail={t.byItsDimensions} testID="to-dimensions" onPress={() => setOpen(true)} />;
  return <OrderForm {...props} />;
}

/** The same, open already: where the last one went back. */
export function OrderForm({ view, card, wanted, probability }: Props) {
  const { job, state } = view;
  const router = useRouter();
  const missing = missingForOrder(wanted);
  if (missing.length > 0) {
    return (
      <Card tone="danger" testID="missing-for-order">
        <Text variant="danger">{t.forAnOrderIsMissing(missing.map((name) => attributeName(name).toLowerCase()).join(', '))}</Text>
        <Button label={match.backToTheGearCard} onPress={() => router.navigate(`/jobs/${job.id}/gear/${card.id}`)} />
      </Card>
    );
  }
  // What is kept of an order that went back is its drawing: the same gear, from the same or another.
  const before = state.gears[card.id]?.chosen;
  return (
    <Complete
      view={view}
      card={card}
      wanted={wanted}
      probability={probability}
      drawn={before?.source === 'toDimensions' ? before : undefined}
    />
  );
}

function Complete({ view, card, wanted, probability, drawn }: Props & { drawn: { partId: string; partNumber: string } | undefined }) {
  const { job, state } = view;
  const router = useRouter();
  const { writeAll, problem } = useRecord(job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  const asked = usePrices(state, view.machine?.modelId).filter(({ gear }) => gear === card.id);
  const { fields, said: priceOf } = usePriceForm(asked[0]);
  const supplier = fields.typed.supplier.trim();
  const [number, setNumber] = useState(state.gears[card.id]?.orders?.at(-1)?.supplierNumber ?? '');
  const keep = async () => {
    const said = priceOf();
    if (said) await writeAll([{ kind: 'priceAsked', gear: card.id, what: card.name, ...said }]);
  };
  const order = async () => {
    const said = priceOf();
    if (!said) return;
    const partId = drawn?.partId ?? uuid();
    const partNumber = drawn?.partNumber ?? `D-${partId.slice(-NUMBER_LETTERS).toUpperCase()}`;
    const part = { gear: card.id, partId, partNumber, name: card.name, priceMinor: said.priceMinor, source: 'toDimensions' } as const;
    const written = await writeAll([
      { kind: 'priceAsked', gear: card.id, what: card.name, ...said },
      { kind: 'partChosen', ...part, probability },
      {
        kind: 'partOrdered',
        ...part,
        supplier: said.supplier,
        ...(number.trim() && { supplierNumber: number.trim() }),
        attributes: wanted,
        promisedOn: format(addDays(new Date(), said.leadDays), 'yyyy-MM-dd'),
      },
    ]);
    if (written) router.navigate(`/jobs/${job.id}/receive/${card.id}`);
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.orderIt}</Text>
      {asked.map((price) => (
        <Text key={price.supplier} testID="price-known">
          {t.asked(price.supplier, money(price.priceMinor, currency), daysText(price.leadDays))}
          {price.isOfAnotherJob ? ` ${t.askedAtLastJob}` : ''}
        </Text>
      ))}
      <Button label={t.requestToPrint} testID="to-request" onPress={() => router.navigate(`/jobs/${job.id}/paper/${card.id}`)} />
      <PriceFields {...fields} />
      <Field label={t.sellersOwnNumber} value={number} onChangeText={setNumber} maxLength={80} testID="seller-number" />
      <Problem text={problem} />
      <Button label={t.keepThePrice} testID="keep-price" onPress={() => void keep()} />
      <Button
        variant="primary"
        big
        label={supplier ? t.orderItFrom(supplier) : t.orderIt}
        testID="order-to-dimensions"
        onPress={() => void order()}
      />
    </Card>
  );
}
