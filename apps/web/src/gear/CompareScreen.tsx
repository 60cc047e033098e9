import { t } from '@patient-badger/wording/gear';
import { comparable, type GearQuantity } from '@patient-badger/core/gear';
import { type Piece, PIECES } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { lengthUnit } from '../preferences/preferences.ts';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { compareLine } from './compareLine.ts';
import { wordsFor, quantityWords } from './kinds.ts';
import { ReadPad } from './ReadPad.tsx';
import { PIECE_WORDS } from '../wording/pieceWords.ts';
import { gearOn } from './gearOn.ts';

/** Two gears side by side, dimension by dimension: the old one against the new, a donor's, or the other side's. */
export const CompareScreen = () => <GearFrame stage="measure">{(view, card) => <Comparing view={view} card={card} />}</GearFrame>;

interface MeasureQuestion {
  readonly quantity: GearQuantity;
  readonly piece?: Piece | undefined;
  readonly over?: number | undefined;
}

function Comparing({ view, card }: { view: JobView; card: GearCard }) {
  const unit = lengthUnit.use();
  const gear = gearOn(view, card);
  const [piece, setPiece] = useState<Piece>(PIECES.find((each) => gear.beside?.[each]) ?? 'new');
  const [asked, setAsked] = useState<MeasureQuestion | null>(null);
  const words = wordsFor(card.type);
  const other = gear.beside?.[piece] ?? {};
  const worked = runOperation('gear.compare', { first: comparable(gear.readings), second: comparable(other) });
  const found = worked.ok ? worked.output : { attributes: [], deciding: null };
  // Dimensions that neither was measured in are rows too, so that they can be tapped.
  const untouched = (Object.keys(words) as GearQuantity[])
    .filter((each) => each !== 'arcDeg' && each !== 'centreDistanceMm' && !found.attributes.some(({ name }) => name.split('/')[0] === each))
    .map((name) => ({ name: String(name), state: 'notRead' as const }));
  const rows = [...found.attributes, ...untouched].map((each) => compareLine(each, words, unit));
  return (
    <>
      <Text variant="title">{t.sideBySide(card.name)}</Text>
      <Segments
        label={t.compareItWith}
        options={PIECES.map((each) => [each, PIECE_WORDS[each].choice] as const)}
        value={piece}
        onChange={setPiece}
      />
      {found.deciding ? (
        <Card tone="danger">
          <Text variant="danger" testID="compare-deciding">
            {t.notTheSame(compareLine({ name: found.deciding, state: 'differs' }, words, unit).name)}
          </Text>
        </Card>
      ) : null}
      <View className="flex-row gap-2">
        <Text variant="label" className="flex-1" />
        <Text variant="label" className="w-[104px] text-right">
          {t.thisOne}
        </Text>
        <Text variant="label" className="w-[104px] text-right">
          {PIECE_WORDS[piece].column}
        </Text>
      </View>
      {rows.map(({ key, quantity, over, name, first, second, verdict, clear }) => (
        <View key={key} className={`gap-1 rounded-md border-2 bg-surface p-2 ${clear ? 'border-danger' : 'border-line'}`}>
          <View className="flex-row items-center gap-2">
            <Text variant="strong" className="flex-1">
              {name}
            </Text>
            <Cell label={t.thisOneWithName(name)} text={first} onPress={() => setAsked({ quantity, over })} testID={`first-${key}`} />
            <Cell
              label={`${name}, ${PIECE_WORDS[piece].column}`}
              text={second}
              onPress={() => setAsked({ quantity, piece, over })}
              testID={`second-${key}`}
            />
          </View>
          <Text variant={clear ? 'danger' : 'soft'}>{verdict}</Text>
        </View>
      ))}
      {asked ? (
        <ReadPad
          view={view}
          card={card}
          quantity={asked.quantity}
          piece={asked.piece}
          words={words[asked.quantity] ?? quantityWords(asked.quantity)}
          over={asked.over}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </>
  );
}

const Cell = ({ label, text, onPress, testID }: { label: string; text: string; onPress: () => void; testID: string }) => (
  <Pressable
    role="button"
    aria-label={`${label}: ${text}`}
    testID={testID}
    onPress={onPress}
    className="min-h-[48px] w-[104px] items-end justify-center rounded-md border border-line px-1 active:opacity-70"
  >
    <Text variant="strong" numberOfLines={1}>
      {text}
    </Text>
  </Pressable>
);
