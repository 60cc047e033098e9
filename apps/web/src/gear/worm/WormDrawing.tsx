import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import type { WormQuantity } from '@patient-badger/core/gear';
import { Line, Path, Polygon, Rect } from 'react-native-svg';
import { lengthUnit } from '../../preferences/preferences.ts';
import { useColours } from '../../design/useColours.ts';
import { CalloutDrawing, DRAWING } from '../CalloutDrawing.tsx';
import { wormOutline, type WormShape } from './wormOutline.ts';
import { WORM_WORDS } from './words.ts';

const CENTRE = DRAWING.centre;
const MOST_TALL = 118;
const MOST_WIDE = 150;

/** Where each callout stands and what it points at, as shares of the drawn worm: x −1 … 1 over its length, y −1 … 1 over its tips. */
const CALLOUTS = [
  { quantity: 'axialPitch', left: 0, top: 0, at: [-0.35, -1] },
  { quantity: 'tipDiameterMm', left: 182, top: 0, at: [0.55, -1] },
  { quantity: 'boreDiameterMm', left: 0, top: 306, at: [-0.3, 0.45] },
  { quantity: 'faceWidthMm', left: 182, top: 306, at: [0.35, 1] },
  { quantity: 'rootDiameterMm', left: 182, top: 242, at: [0.8, 0.85] },
  { quantity: 'starts', left: 0, top: 242, at: [-1, 0.8] },
] as const satisfies readonly { quantity: WormQuantity; left: number; top: number; at: readonly [number, number] }[];

interface Props {
  readonly shape: WormShape;
  readonly values: Readonly<Partial<Record<WormQuantity, string>>>;
  readonly advised?: string | undefined;
  readonly onPick: (quantity: WormQuantity) => void;
}

/** The worm drawn to its numbers, with a callout to tap for each dimension. */
export function WormDrawing({ shape, values, advised, onPick }: Props) {
  const colours = useColours();
  const unit = lengthUnit.use();
  const scale = Math.min(MOST_TALL / shape.tipMm, MOST_WIDE / shape.lengthMm);
  const half = { x: (shape.lengthMm / 2) * scale, y: (shape.tipMm / 2) * scale };
  const bore = (shape.boreMm / 2) * scale;
  const callouts = CALLOUTS.map(({ at: [x, y], ...box }) => ({ ...box, to: { x: CENTRE.x + x * half.x, y: CENTRE.y + y * half.y } }));
  return (
    <CalloutDrawing
      label={t.drawingOfTheWormOver(formatLength(shape.tipMm, unit))}
      callouts={callouts}
      values={values}
      words={WORM_WORDS}
      advised={advised}
      onPick={onPick}
    >
      <Line x1={10} y1={CENTRE.y} x2={DRAWING.width - 10} y2={CENTRE.y} stroke={colours.soft} strokeWidth={1} strokeDasharray="14 4 3 4" />
      <Polygon
        points={wormOutline(shape, scale, CENTRE)}
        fill={colours.surface}
        stroke={colours.ink}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <Path d={threadLines(shape, scale, half)} stroke={colours.ink} strokeWidth={1.2} fill="none" />
      <Rect
        x={CENTRE.x - half.x}
        y={CENTRE.y - bore}
        width={2 * half.x}
        height={2 * bore}
        fill="none"
        stroke={colours.soft}
        strokeWidth={1.5}
        strokeDasharray="6 4"
      />
    </CalloutDrawing>
  );
}

/** Thread crests as seen from the side: they cross the worm by half a lead, leaning with the hand. */
function threadLines({ pitchMm, starts, lengthMm, hand, tipMm, rootMm }: WormShape, scale: number, half: { x: number; y: number }): string {
  const lean = ((pitchMm * starts) / 2) * scale * (hand === 'right' ? 1 : -1);
  const depth = ((tipMm - rootMm) / 2) * scale;
  const count = Math.floor(lengthMm / pitchMm) + 2 * starts + 2;
  const lines: string[] = [];
  for (let i = -count; i <= count; i++) {
    const top = i * pitchMm * scale;
    const bottom = top - lean;
    if (Math.min(top, bottom) < -half.x || Math.max(top, bottom) > half.x) continue;
    lines.push(`M${CENTRE.x + top} ${CENTRE.y - half.y + depth * 0.2}L${CENTRE.x + bottom} ${CENTRE.y + half.y - depth * 0.2}`);
  }
  return lines.join('');
}
