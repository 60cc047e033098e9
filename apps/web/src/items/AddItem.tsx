import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { dimensionsOf, PLAIN_TYPES, type PlainType } from '@patient-badger/core/parts';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeName, attributeValue } from '../wording/attributeWords.ts';
import { FromCatalogue } from './FromCatalogue.tsx';
import { NO_ITEM, readItem, type ReadItem, type TypedItem } from './readItem.ts';

/** A part that is no gear written down in a line, or taken out of the catalogue by its dimensions. */
export function AddItem({ view }: { view: JobView }) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button label={t.addAPart} detail={t.bearingSealPinAWhole} testID="add-item" onPress={() => setOpen(true)} />;
  return <Form view={view} onDone={() => setOpen(false)} />;
}

function Form({ view, onDone }: { view: JobView; onDone: () => void }) {
  const { write, problem } = useRecord(view.job.id);
  const [typed, setTyped] = useState<TypedItem>(NO_ITEM);
  const [problems, setProblems] = useState<Extract<ReadItem, { problems: unknown }>['problems']>({});
  const change = (more: Partial<TypedItem>) => setTyped((was) => ({ ...was, ...more }));
  const keep = async () => {
    const read = readItem(typed);
    if ('problems' in read) return setProblems(read.problems);
    setProblems({});
    if (await write(read.payload)) onDone();
  };
  const field = (name: 'name' | 'count' | 'price' | 'supplier' | 'partNumber', label: string, more: object = {}) => (
    <View className="min-w-[140px] flex-1">
      <Field
        label={label}
        value={typed[name]}
        onChangeText={(text) => change({ [name]: text })}
        problem={name === 'partNumber' ? undefined : problems[name]}
        testID={`item-${name}`}
        {...more}
      />
    </View>
  );
  return (
    <Card tone="next">
      <Text variant="head">{t.addAPart}</Text>
      {field('name', shared.whatItIs)}
      <View role="radiogroup" aria-label={shared.kind} className="flex-row flex-wrap gap-2">
        {PLAIN_TYPES.map((plainType) => (
          <Button
            key={plainType}
            label={attributeValue('type', plainType)}
            variant={typed.type === plainType ? 'chosen' : 'plain'}
            checked={typed.type === plainType}
            testID={`kind-${plainType}`}
            onPress={() => change({ type: typed.type === plainType ? undefined : plainType })}
          />
        ))}
      </View>
      {typed.type ? <Sizes type={typed.type} typed={typed} problems={problems} onChange={(sizes) => change({ sizes })} /> : null}
      {typed.type ? <FromCatalogue view={view} typed={typed} onDone={onDone} /> : null}
      <Segments
        label={t.whereItComesFrom}
        options={[
          ['ordered', shared.ordered],
          ['inHand', shared.fromTheShop],
          ['needed', shared.needed],
        ]}
        value={typed.state}
        onChange={(state) => change({ state })}
      />
      <View className="flex-row flex-wrap gap-2">
        {field('count', shared.howMany, { inputMode: 'numeric' })}
        {field('price', t.priceOfOne, { inputMode: 'decimal' })}
      </View>
      <View className="flex-row flex-wrap gap-2">
        {typed.state === 'ordered' ? field('supplier', shared.fromWhom) : null}
        {field('partNumber', t.itsNumberIfItHas)}
      </View>
      <Problem text={problem} />
      <FormFoot label={shared.writeItDown} testID="keep-item" onKeep={() => void keep()} onClose={onDone} />
    </Card>
  );
}

interface SizesProps {
  readonly type: PlainType;
  readonly typed: TypedItem;
  readonly problems: Readonly<Partial<Record<string, string>>>;
  readonly onChange: (sizes: TypedItem['sizes']) => void;
}

function Sizes({ type, typed: { sizes }, problems, onChange }: SizesProps) {
  const asked = dimensionsOf({ type });
  if (asked.length === 0) return null;
  return (
    <>
      <Text variant="soft">{t.whatYouKnowOfIt}</Text>
      <Figures
        typed={sizes}
        fields={asked.map((name) => [name, `${attributeName(name)}${name.endsWith('Mm') ? shared.inMm : ''}`] as const)}
        onChange={(change) => onChange({ ...sizes, ...change })}
        problems={problems}
        testID={(name) => `size-${name}`}
      />
    </>
  );
}
