import type { GearQuantity } from '@patient-badger/core';
import type { ReactNode } from 'react';
import { Line } from 'react-native-svg';
import { useColours } from '../design/useColours.ts';
import { CalloutDrawing, DRAWING } from './CalloutDrawing.tsx';
import type { QuantityWords } from './QuantityWords.ts';

const { x, y } = DRAWING.centre;
const CALLOUTS = [
  { quantity: 'teeth', left: 0, top: 0, to: { x: x - 40, y: y - 62 } },
  { quantity: 'tipDiameterMm', left: 182, top: 0, to: { x: x + 44, y: y - 60 } },
  { quantity: 'toothHeightMm', left: 0, top: 242, to: { x: x - 62, y: y + 44 } },
  { quantity: 'mateTeeth', left: 182, top: 242, to: { x: x + 66, y: y + 40 } },
  { quantity: 'axialPitch', left: 182, top: 242, to: { x: x + 52, y: y + 20 } },
  { quantity: 'starts', left: 0, top: 0, to: { x: x - 62, y: y - 30 } },
  { quantity: 'arcDeg', left: 182, top: 0, to: { x: x + 40, y: y - 58 } },
  { quantity: 'pressureAngleDeg', left: 0, top: 306, to: { x: x - 30, y: y + 40 } },
  { quantity: 'travelMm', left: 0, top: 242, to: { x: x - 50, y: y + 34 } },
  { quantity: 'boreDiameterMm', left: 0, top: 306, to: { x: x - 6, y: y + 14 } },
  { quantity: 'faceWidthMm', left: 182, top: 306, to: { x: x + 16, y: y + 66 } },
] as const;

interface Props<Quantity extends GearQuantity> {
  readonly quantities: readonly Quantity[];
  readonly words: Readonly<Record<Quantity, QuantityWords>>;
  readonly label: string;
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly advised: Quantity | undefined;
  readonly onPick: (quantity: Quantity) => void;
  /** Where a callout points on this drawing, from its middle, where it is not where it is on a round gear. */
  readonly spots?: Readonly<Partial<Record<Quantity, readonly [right: number, down: number]>>>;
  /** How its axis lies, or that it has none. */
  readonly axis?: 'upright' | 'level' | 'none';
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
  spots,
  axis = 'upright',
  children,
}: Props<Quantity>) {
  const colours = useColours();
  const callouts = CALLOUTS.flatMap((callout) => {
    const quantity = quantities.find((one) => one === callout.quantity);
    if (quantity === undefined) return [];
    const [right, down] = spots?.[quantity] ?? [callout.to.x - x, callout.to.y - y];
    return [{ ...callout, quantity, to: { x: x + right, y: y + down } }];
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
