import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import { gearOutline, type Cut, type CylindricalQuantity } from '@patient-badger/core/gear';
import { Circle, Line, Polygon } from 'react-native-svg';
import { lengthUnit } from '../../preferences/preferences.ts';
import { useColours } from '../../design/useColours.ts';
import { CalloutDrawing, DRAWING } from '../CalloutDrawing.tsx';
import { CYLINDRICAL_WORDS } from './words.ts';

export interface GearShape {
  readonly cut: Cut;
  readonly tipMm: number;
  readonly boreMm: number;
}

const CENTRE = DRAWING.centre;
const RADIUS = 82;

/** Where each callout stands and what it points at, in radii of the tips: x to the right, y down. */
const CALLOUTS = [
  { quantity: 'teeth', left: 0, top: 0, at: [-0.35, -0.93] },
  { quantity: 'tipDiameterMm', left: 182, top: 0, at: [0.5, -0.86] },
  { quantity: 'spanMm', left: 0, top: 242, at: [-0.68, 0.72] },
  { quantity: 'rootDiameterMm', left: 182, top: 242, at: [0.6, 0.62] },
  { quantity: 'boreDiameterMm', left: 0, top: 306, at: [-0.1, 0.2] },
  { quantity: 'faceWidthMm', left: 182, top: 306, at: [0.2, 0.97] },
] as const satisfies readonly { quantity: CylindricalQuantity; left: number; top: number; at: readonly [number, number] }[];

interface Props {
  readonly shape: GearShape;
  readonly values: Readonly<Partial<Record<CylindricalQuantity, string>>>;
  readonly advised?: string | undefined;
  /** Part of the round only: its teeth are counted over an angle. */
  readonly sector?: boolean | undefined;
  readonly onPick: (quantity: CylindricalQuantity) => void;
}

/** The gear drawn to its numbers, seen along its axis, with a callout to tap for each dimension. */
export function GearDrawing({ shape: { cut, tipMm, boreMm }, values, advised, sector = false, onPick }: Props) {
  const colours = useColours();
  const unit = lengthUnit.use();
  const scale = RADIUS / (tipMm / 2);
  const counted = (quantity: CylindricalQuantity) => (sector && quantity === 'teeth' ? 'arcDeg' : quantity);
  const callouts = CALLOUTS.map(({ at: [x, y], quantity, ...box }) => ({
    ...box,
    quantity: counted(quantity),
    to: { x: CENTRE.x + x * RADIUS, y: CENTRE.y + y * RADIUS },
  }));
  const points = gearOutline(cut).map(([x, y]) => `${(CENTRE.x + x * scale).toFixed(2)},${(CENTRE.y - y * scale).toFixed(2)}`);
  return (
    <CalloutDrawing
      label={t.drawingOfTheGearTeeth(cut.teeth, formatLength(tipMm, unit))}
      callouts={callouts}
      values={values}
      words={CYLINDRICAL_WORDS}
      advised={advised}
      onPick={onPick}
    >
      <Polygon points={points.join(' ')} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} strokeLinejoin="round" />
      <Circle cx={CENTRE.x} cy={CENTRE.y} r={(boreMm / 2) * scale} fill={colours.paper} stroke={colours.ink} strokeWidth={1.5} />
      <Line x1={CENTRE.x - 100} y1={CENTRE.y} x2={CENTRE.x + 100} y2={CENTRE.y} stroke={colours.soft} strokeDasharray="14 4 3 4" />
      <Line x1={CENTRE.x} y1={CENTRE.y - 88} x2={CENTRE.x} y2={CENTRE.y + 94} stroke={colours.soft} strokeDasharray="14 4 3 4" />
    </CalloutDrawing>
  );
}
