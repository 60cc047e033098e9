import type { GearCard, GearQuantity, GearState, LengthUnit } from '@patient-badger/core';
import { useState, type ReactNode } from 'react';
import { Line } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import type { JobView } from '../job/JobView.ts';
import { lengthUnit } from '../preferences/preferences.ts';
import { ByHand } from './ByHand.tsx';
import { CalloutDrawing, DRAWING } from './CalloutDrawing.tsx';
import type { CandidateLine } from './candidateLine.ts';
import { CandidateList } from './CandidateList.tsx';
import { CardTools } from './CardTools.tsx';
import { Disagreeing } from './Disagreeing.tsx';
import { FindParts } from './FindParts.tsx';
import { Contradiction } from './NextReading.tsx';
import type { QuantityWords } from './QuantityWords.ts';
import { ReadPad } from './ReadPad.tsx';
import { readValues } from './readValues.ts';

const { x, y } = DRAWING.centre;
const CALLOUTS = [
  { quantity: 'teeth', left: 0, top: 0, to: { x: x - 40, y: y - 62 } },
  { quantity: 'tipDiameterMm', left: 182, top: 0, to: { x: x + 44, y: y - 60 } },
  { quantity: 'toothHeightMm', left: 0, top: 242, to: { x: x - 62, y: y + 44 } },
  { quantity: 'mateTeeth', left: 182, top: 242, to: { x: x + 66, y: y + 40 } },
  { quantity: 'boreDiameterMm', left: 0, top: 306, to: { x: x - 6, y: y + 14 } },
  { quantity: 'faceWidthMm', left: 182, top: 306, to: { x: x + 16, y: y + 66 } },
] as const;

interface Identification<Candidate> {
  readonly candidates: readonly Candidate[];
  readonly noneOfTheseProbability: number;
}

interface Props<Quantity extends GearQuantity, Candidate> {
  readonly view: JobView;
  readonly card: GearCard;
  readonly quantities: readonly Quantity[];
  readonly words: Readonly<Record<Quantity, QuantityWords>>;
  readonly heading: string;
  readonly begin: string;
  /** Which it may be, best first; no data while nothing was measured. */
  readonly identified: { readonly data: Identification<Candidate> | undefined; readonly error: Error | null };
  readonly line: (candidate: Candidate, unit: LengthUnit) => CandidateLine;
  /** What the drawing shows, and the gear itself. */
  readonly label: string;
  readonly drawing: ReactNode;
  /** What this kind can be put to besides. */
  readonly children?: ReactNode | undefined;
}

/** The card of a gear that its counts and a few sizes tell: what was read on a drawing, and which it was. */
export function SizedCard<Quantity extends GearQuantity, Candidate>({
  view,
  card,
  quantities,
  words,
  heading,
  begin,
  identified: { data, error },
  line,
  label,
  drawing,
  children,
}: Props<Quantity, Candidate>) {
  const colours = useColours();
  const gear: GearState = view.state.gears[card.id] ?? { readings: {} };
  const unit = lengthUnit.use();
  const lines = data?.candidates.map((each) => line(each, unit));
  const [asked, setAsked] = useState<Quantity | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const callouts = CALLOUTS.flatMap((callout) => {
    const quantity = quantities.find((one) => one === callout.quantity);
    return quantity === undefined ? [] : [{ ...callout, quantity }];
  });
  return (
    <>
      <Text variant="title">{card.name}</Text>
      <CalloutDrawing<Quantity> label={label} callouts={callouts} values={readValues(gear, words, unit)} words={words} onPick={setAsked}>
        {drawing}
        <Line x1={x} y1={y - 92} x2={x} y2={y + 92} stroke={colours.soft} strokeDasharray="14 4 3 4" />
      </CalloutDrawing>
      {asked ? <ReadPad view={view} card={card} quantity={asked} words={words[asked]} onClose={() => setAsked(null)} /> : null}
      <Disagreeing readings={gear.readings} words={words} />
      {error ? <Contradiction error={error} /> : null}
      <CandidateList
        heading={heading}
        begin={begin}
        lines={error ? undefined : lines}
        noneOfThese={data?.noneOfTheseProbability}
        picked={pressed ?? lines?.[0]?.key}
        onPick={setPressed}
      />
      <CardTools jobId={view.job.id} card={card} gear={gear} />
      {children}
      {lines?.[0] && !error ? <FindParts jobId={view.job.id} gear={card.id} pick={pressed ?? lines[0].key} /> : null}
      <ByHand view={view} card={card} />
    </>
  );
}
