import { t } from '@patient-badger/wording/match';
import { t as gearWords } from '@patient-badger/wording/gear';
import { t as orders } from '@patient-badger/wording/orders';
import { t as shared } from '@patient-badger/wording/shared';
import { arrivedAttributes, type GearQuantity } from '@patient-badger/core/gear';
import type { Order } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { refusals } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { call } from '../data/api.ts';
import { useRecord } from '../data/useRecord.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { wordsFor, quantityWords } from '../gear/kinds.ts';
import { ReadPad } from '../gear/ReadPad.tsx';
import { type JobView } from '../job/JobView.ts';
import { attributeName, attributeValue, differenceText, fitText, notAsOrdered } from '../wording/attributeWords.ts';

export const MEASURED = ['teeth', 'faceWidthMm', 'boreDiameterMm', 'tipDiameterMm', 'starts'] as const satisfies readonly (GearQuantity &
  keyof PartAttributes)[];

/** Ordered against arrived, dimension by dimension; the verdict with what decides it. */
export function Inspection({ view, card, order }: { view: JobView; card: GearCard; order: Order }) {
  const { write, problem } = useRecord(view.job.id);
  const [asked, setAsked] = useState<GearQuantity | null>(null);
  const [goesOn, setGoesOn] = useState(false);
  const [note, setNote] = useState('');
  const gear = view.state.gears[card.id];
  const readings = gear?.beside?.new ?? {};
  const hand = gear?.handsBeside?.new;
  const worked = runOperation('match.receive', { ordered: order.attributes, arrived: arrivedAttributes(readings, hand) });
  const before = useQuery({
    queryKey: ['refusals', order.partNumber],
    queryFn: () => call(`/api/parts/refusals?partNumber=${encodeURIComponent(order.partNumber)}`, refusals),
  }).data;
  if (!worked.ok) return <Text variant="danger">{worked.sentence}</Text>;
  const { verdict, deciding, attributes, difference } = worked.output;
  const words = wordsFor(card.type);
  const next = MEASURED.find((name) => name === deciding);
  // What decides next, once what was kept is reckoned with.
  if (goesOn && asked === null && verdict === 'measureMore' && next && readings[next] === undefined) {
    setGoesOn(false);
    setAsked(next);
  }
  const refuse = (name: string) => {
    const found = attributes.find((each) => each.name === name);
    const off = found ? differenceText(found) || shared.doesNotFit : '';
    void write({
      kind: 'partRefused',
      gear: card.id,
      order: order.id,
      partNumber: order.partNumber,
      deciding: name,
      ...(difference !== undefined && { difference }),
      note: [off, note.trim()].filter(Boolean).join('; ') || shared.notAsOrdered,
    });
  };
  return (
    <>
      {before && before.length > 0 ? (
        <Text variant="danger" testID="refused-before">
          {t.thisPartNumberCameWrong(
            before.length === 1 ? shared.once : shared.times(before.length),
            attributeName(before[0]?.deciding ?? '').toLowerCase(),
            before[0]?.note ?? '',
          )}
        </Text>
      ) : null}
      {MEASURED.filter((name) => order.attributes[name] !== undefined).map((name) => {
        const found = attributes.find((each) => each.name === name);
        const wanted = order.attributes[name];
        return (
          <Pressable
            key={name}
            role="button"
            aria-label={`${attributeName(name)}: ${found?.part === undefined ? shared.measureIt : fitText(found)}`}
            testID={`receive-${name}`}
            onPress={() => setAsked(name)}
            className={`min-h-[56px] flex-row items-center gap-2 rounded-md border-2 bg-surface px-3 py-2 active:opacity-70 ${deciding === name ? 'border-heat' : 'border-line'}`}
          >
            <View className="min-w-0 flex-1">
              <Text variant="strong">{attributeName(name)}</Text>
              <Text variant="soft">{t.ordered(attributeValue(name, typeof wanted === 'object' ? wanted.value : (wanted ?? '')))}</Text>
            </View>
            <Text variant="strong" className="shrink-0">
              {found?.part === undefined ? shared.measure : attributeValue(name, found.part)}
            </Text>
          </Pressable>
        );
      })}
      {order.attributes.hand === undefined ? null : (
        <Segments
          label={orders.hand}
          options={[
            ['right', gearWords.rightHandThread],
            ['left', gearWords.leftHandThread],
          ]}
          value={hand}
          onChange={(seen) => void write({ kind: 'handNoted', gear: card.id, hand: seen, piece: 'new' })}
        />
      )}
      {asked ? (
        <ReadPad
          view={view}
          card={card}
          quantity={asked}
          piece="new"
          words={words[asked] ?? quantityWords(asked)}
          onClose={() => setAsked(null)}
          onNext={() => setGoesOn(true)}
        />
      ) : null}
      {verdict === 'measureMore' ? <Text>{t.measureNextThreeOfThese(attributeName(deciding ?? '').toLowerCase())}</Text> : null}
      {verdict === 'accept' ? (
        <>
          <Text variant="strong" testID="receive-verdict">
            {t.itIsWhatWasOrdered}
          </Text>
          <Button
            variant="primary"
            big
            label={t.takeIt}
            testID="accept"
            onPress={() => void write({ kind: 'partAccepted', gear: card.id, order: order.id, partNumber: order.partNumber })}
          />
        </>
      ) : null}
      {verdict === 'refuse' && deciding ? (
        <>
          <Text variant="danger" testID="receive-verdict">
            {notAsOrdered(deciding, difference)}
          </Text>
          <Field label={t.noteForTheReturnMay} value={note} onChangeText={setNote} />
          <Button variant="danger" big label={shared.sendItBack} testID="refuse" onPress={() => refuse(deciding)} />
        </>
      ) : null}
      <Problem text={problem} />
    </>
  );
}
