import type { GearQuantity } from '@patient-badger/core/gear';
import type { ReactNode } from 'react';
import { Line } from 'react-native-svg';
import { useColours } from '../design/useColours.ts';
import { CalloutDrawing, DRAWING } from './CalloutDrawing.tsx';
import type { QuantityWords } from './QuantityWords.ts';

const { x, y } = DRAWING.centre;
type Spots = Readonly<Partial<Record<GearQuantity, readonly [right: number, down: number]>>>;

/** Where the box of each dimension stands; of two at one place no kind has both. */
const BOXES = [
  { quantity: 'teeth', left: 0, top: 0 },
  { quantity: 'starts', left: 0, top: 0 },
  { quantity: 'tipDiameterMm', left: 182, top: 0 },
  { quantity: 'arcDeg', left: 182, top: 0 },
  { quantity: 'toothHeightMm', left: 0, top: 242 },
  { quantity: 'travelMm', left: 0, top: 242 },
  { quantity: 'mateTeeth', left: 182, top: 242 },
  { quantity: 'axialPitch', left: 182, top: 242 },
  { quantity: 'boreDiameterMm', left: 0, top: 306 },
  { quantity: 'pressureAngleDeg', left: 0, top: 306 },
  { quantity: 'faceWidthMm', left: 182, top: 306 },
] as const;
const ON_A_ROUND: Spots = {
  teeth: [-40, -62],
  tipDiameterMm: [44, -60],
  toothHeightMm: [-62, 44],
  mateTeeth: [66, 40],
  boreDiameterMm: [-6, 14],
  faceWidthMm: [16, 66],
};

interface Props<Quantity extends GearQuantity> {
  readonly quantities: readonly Quantity[];
  readonly words: Readonly<Record<Quantity, QuantityWords>>;
  readonly label: string;
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly advised: Quantity | undefined;
  readonly onPick: (quantity: Quantity) => void;
  /** Where the callouts point, from the middle of the drawing; as on a round gear unless given. */
  readonly spots?: Spots | undefined;
  /** How its axis lies, or that it has none. */
  readonly axis?: 'upright' | 'level' | 'none' | undefined;
  /** The gear itself. */
  readonly children: ReactNode;
}

/** A gear that counts and a few sizes tell, with a callout for each that this kind has. */
export function SizedDrawing<Quantity extends GearQuantity>({
  quantities,
  words,
  label,
  values,
  advised,
  onPick,
  spots = ON_A_ROUND,
  axis = 'upright',
  children,
}: Props<Quantity>) {
  const colours = useColours();
  const callouts = BOXES.flatMap((box) => {
    const quantity = quantities.find((one) => one === box.quantity);
    if (quantity === undefined) return [];
    const [right, down] = spots[quantity] ?? [0, 0];
    return [{ ...box, quantity, to: { x: x + right, y: y + down } }];
  });
  return (
    <CalloutDrawing<Quantity> {...{ label, callouts, values, words, advised, onPick }}>
      {children}
      {axis === 'none' ? null : (
        <Line
          {...(axis === 'upright' ? { x1: x, y1: y - 92, x2: x, y2: y + 92 } : { x1: x - 104, y1: y, x2: x + 104, y2: y })}
          stroke={colours.soft}
          strokeDasharray="14 4 3 4"
        />
      )}
    </CalloutDrawing>
  );
}
