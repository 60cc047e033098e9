import type { GearCard, GearState, SizedQuantity } from '@patient-badger/core';
import { useState } from 'react';
import { Circle, Line, Path, Polygon } from 'react-native-svg';
import { lengthUnit } from '../preferences/preferences.ts';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import type { JobView } from '../job/JobView.ts';
import { ArcsCard } from './ArcsCard.tsx';
import { BenchTools } from './BenchTools.tsx';
import { ByHand } from './ByHand.tsx';
import { CalloutDrawing, DRAWING } from './CalloutDrawing.tsx';
import { CandidateList } from './CandidateList.tsx';
import { Disagreeing } from './Disagreeing.tsx';
import { Contradiction } from './NextReading.tsx';
import { benchWords } from './quantities.ts';
import { ReadPad } from './ReadPad.tsx';
import { FindParts } from './FindParts.tsx';
import { readValues } from './readValues.ts';
import { bevelLine, wheelLine } from './sizedLine.ts';
import { useBevel, useWheel } from './useIdentification.ts';

/** A bevel, measured at its large end, or a worm wheel in its throat: which it was. */
export function SizedBench({ view, card }: { view: JobView; card: GearCard }) {
  const gear: GearState = view.state.gears[card.id] ?? { readings: {} };
  const unit = lengthUnit.use();
  const [asked, setAsked] = useState<SizedQuantity | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const isBevel = card.type === 'bevel';
  const [bevel, wheel] = [useBevel(isBevel ? gear : undefined), useWheel(isBevel ? undefined : gear)];
  const { error, data } = isBevel ? bevel : wheel;
  const lines = isBevel
    ? bevel.data?.candidates.map((each) => bevelLine(each, unit))
    : wheel.data?.candidates.map((each) => wheelLine(each, unit));
  const words = benchWords(card.type);
  const teeth = gear.readings.teeth?.at(-1)?.reading.value ?? 24;
  return (
    <>
      <Text look="title">{card.name}</Text>
      <SizedDrawing bevel={isBevel} teeth={teeth} values={readValues(gear, unit)} onPick={setAsked} words={words} />
      {asked ? (
        <ReadPad
          view={view}
          card={card}
          quantity={asked}
          words={words[asked] as NonNullable<(typeof words)[SizedQuantity]>}
          onClose={() => setAsked(null)}
        />
      ) : null}
      <Disagreeing readings={gear.readings} />
      {error ? <Contradiction error={error} /> : null}
      <CandidateList
        heading={isBevel ? 'Which bevel it was' : 'Which wheel it was'}
        begin={
          isBevel
            ? 'Count the teeth of both, then measure over the tips at the large end.'
            : 'Count the teeth, then measure over the tips in the throat.'
        }
        lines={error ? undefined : lines}
        noneOfThese={data?.noneOfTheseProbability}
        picked={pressed ?? lines?.[0]?.key}
        onPick={setPressed}
      />
      <BenchTools jobId={view.job.id} card={card} gear={gear} />
      {isBevel ? null : <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={gear.readings.teeth?.at(-1)?.reading.value} />}
      {lines?.[0] && !error ? <FindParts jobId={view.job.id} gear={card.id} pick={pressed ?? lines[0].key} /> : null}
      <ByHand view={view} card={card} />
    </>
  );
}

const { x, y } = DRAWING.middle;
const CALLOUTS = [
  { quantity: 'teeth', left: 0, top: 0, to: { x: x - 40, y: y - 62 } },
  { quantity: 'tipDiameterMm', left: 182, top: 0, to: { x: x + 44, y: y - 60 } },
  { quantity: 'toothHeightMm', left: 0, top: 242, to: { x: x - 62, y: y + 44 } },
  { quantity: 'mateTeeth', left: 182, top: 242, to: { x: x + 66, y: y + 40 } },
  { quantity: 'boreDiameterMm', left: 0, top: 306, to: { x: x - 6, y: y + 14 } },
  { quantity: 'faceWidthMm', left: 182, top: 306, to: { x: x + 16, y: y + 66 } },
] as const;

interface DrawingProps {
  readonly bevel: boolean;
  readonly teeth: number;
  readonly values: Parameters<typeof CalloutDrawing<SizedQuantity>>[0]['values'];
  readonly words: ReturnType<typeof benchWords>;
  readonly onPick: (quantity: SizedQuantity) => void;
}

/** A bevel from the side, its large end below; a worm wheel along its axis. */
function SizedDrawing({ bevel, teeth, values, words, onPick }: DrawingProps) {
  const colours = useColours();
  const spokes = Array.from({ length: Math.min(60, teeth) }, (_, i) => (2 * Math.PI * i) / Math.min(60, teeth));
  return (
    <CalloutDrawing
      label={`Drawing of the ${bevel ? 'bevel, large end below' : 'worm wheel'}`}
      callouts={bevel ? CALLOUTS : CALLOUTS.filter(({ quantity }) => quantity !== 'mateTeeth')}
      values={values}
      words={words as Readonly<Record<SizedQuantity, { readonly short: string }>>}
      onPick={onPick}
    >
      {bevel ? (
        <>
          <Polygon
            points={`${x - 34},${y - 56} ${x + 34},${y - 56} ${x + 78},${y + 44} ${x + 60},${y + 66} ${x - 60},${y + 66} ${x - 78},${y + 44}`}
            fill={colours.surface}
            stroke={colours.ink}
            strokeWidth={1.5}
          />
          {[-3, -2, -1, 0, 1, 2, 3].map((i) => (
            <Line key={i} x1={x + i * 10} y1={y - 56} x2={x + i * 23} y2={y + 44} stroke={colours.ink} strokeWidth={1.5} />
          ))}
          <Line x1={x - 78} y1={y + 44} x2={x + 78} y2={y + 44} stroke={colours.ink} strokeWidth={1.5} />
          <Path d={`M${x - 18} ${y + 66}V${y + 10}M${x + 18} ${y + 66}V${y + 10}`} stroke={colours.soft} strokeDasharray="6 4" />
        </>
      ) : (
        <>
          <Circle cx={x} cy={y} r={82} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} />
          <Circle cx={x} cy={y} r={70} fill="none" stroke={colours.soft} strokeDasharray="4 4" />
          {spokes.map((at) => (
            <Line
              key={at}
              x1={x + 68 * Math.cos(at)}
              y1={y + 68 * Math.sin(at)}
              x2={x + 82 * Math.cos(at + 0.04)}
              y2={y + 82 * Math.sin(at + 0.04)}
              stroke={colours.ink}
              strokeWidth={2.5}
            />
          ))}
          <Circle cx={x} cy={y} r={18} fill={colours.paper} stroke={colours.ink} strokeWidth={1.5} />
        </>
      )}
      <Line x1={x} y1={y - 92} x2={x} y2={y + 92} stroke={colours.soft} strokeDasharray="14 4 3 4" />
    </CalloutDrawing>
  );
}
