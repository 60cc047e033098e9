import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { orderedItem, type Item } from '@patient-badger/core/job';
import { dimensionsOf, type PartAttributes } from '@patient-badger/core/parts';
import { useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeLine, attributeName } from '../wording/attributeWords.ts';
import { countedName } from '../wording/countedName.ts';
import { money } from '../wording/words.ts';
import { ITEM_STATES } from './itemWords.ts';
import { ItemInspection } from './ItemInspection.tsx';

/** A part that is no gear, as far as it has come, with what is to be done with it next. */
export function ItemCard({ view, item }: { view: JobView; item: Item }) {
  const { write, problem } = useRecord(view.job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  const ordered = orderedItem(item);
  const known = dimensionsOf(ordered).filter((name) => ordered[name] !== undefined);
  const sizes = Object.fromEntries(known.map((name) => [name, ordered[name]])) as PartAttributes;
  const hasSizes = known.length > 0;
  const fit = () => void write({ kind: 'itemFitted', item: item.id });
  return (
    <Card tone={item.state === 'refused' ? 'sunken' : 'plain'} testID={`item-${item.state}`}>
      <Text variant="label">{ITEM_STATES[item.state]}</Text>
      <Text variant="head">{countedName(item)}</Text>
      <Text variant="soft">
        {[
          item.partNumber,
          item.supplier,
          attributeLine(sizes),
          item.priceMinor === undefined ? t.noPrice : t.each(money(item.priceMinor, currency)),
        ]
          .filter(Boolean)
          .join('; ')}
      </Text>
      {item.refusal ? (
        <Text>
          {attributeName(item.refusal.deciding)}: {item.refusal.note}
        </Text>
      ) : null}
      {item.state === 'needed' ? <OrderNow view={view} item={item} /> : null}
      {item.state === 'ordered' ? (
        <Button
          variant="primary"
          label={shared.itHasArrived}
          testID="item-arrived"
          onPress={() => void write({ kind: 'itemArrived', item: item.id })}
        />
      ) : null}
      {item.state === 'arrived' && hasSizes ? <ItemInspection view={view} item={item} /> : null}
      {item.state === 'arrived' && !hasSizes ? <ByEye view={view} item={item} /> : null}
      {item.state === 'accepted' || item.state === 'inHand' ? <Button label={shared.itIsFitted} testID="item-fit" onPress={fit} /> : null}
      <Problem text={problem} />
    </Card>
  );
}

/** What was only needed is ordered: from whom, and for how much. */
function OrderNow({ view, item }: { view: JobView; item: Item }) {
  const { write, problem } = useRecord(view.job.id);
  const [supplier, setSupplier] = useState(item.supplier ?? '');
  const [wrong, setWrong] = useState<string | undefined>();
  const order = () => {
    if (!supplier.trim()) return setWrong(t.fromWhomIsItComing);
    void write({ kind: 'itemOrdered', item: item.id, supplier: supplier.trim() });
  };
  return (
    <>
      <Field label={shared.fromWhom} value={supplier} onChangeText={setSupplier} problem={wrong} />
      <Problem text={problem} />
      <Button label={shared.ordered} testID="item-order" onPress={order} />
    </>
  );
}

/** Nothing to measure it by: somebody looks at it beside the old one. */
function ByEye({ view, item }: { view: JobView; item: Item }) {
  const { write, writeAll, problem } = useRecord(view.job.id);
  const [note, setNote] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const refuse = () => {
    if (!note.trim()) return setWrong(t.sayWhatIsWrongWith);
    void write({ kind: 'itemRefused', item: item.id, deciding: 'look', note: note.trim() });
  };
  return (
    <>
      <Text>{t.noDimensionWasSaidWhen}</Text>
      <Button
        variant="primary"
        label={t.itIsTheRightOne}
        testID="item-accept"
        onPress={() => void write({ kind: 'itemAccepted', item: item.id })}
      />
      <Button
        label={t.rightAndFitted}
        testID="item-accept-and-fit"
        onPress={() =>
          void writeAll([
            { kind: 'itemAccepted', item: item.id },
            { kind: 'itemFitted', item: item.id },
          ])
        }
      />
      <Field label={t.orWhatIsWrongWith} value={note} onChangeText={setNote} problem={wrong} />
      <Problem text={problem} />
      <View>
        <Button variant="danger" label={shared.sendItBack} testID="item-refuse" onPress={refuse} />
      </View>
    </>
  );
}
