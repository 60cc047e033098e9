import { Circle, Line, Path } from 'react-native-svg';
import { useColours } from '../../design/useColours.ts';
import { DRAWING } from '../CalloutDrawing.tsx';

const { x, y } = DRAWING.centre;
const PIVOT = y + 56;
const [RIM, ROOT] = [120, 100];
/** So far to either side of upright, in radians. */
const HALF = 0.72;

/** A sector along its axis, as many teeth on it as there are. */
export function WormSectorDrawing({ teeth }: { teeth: number }) {
  const colours = useColours();
  const at = (angle: number, radius: number): string => `${x + radius * Math.sin(angle)} ${PIVOT - radius * Math.cos(angle)}`;
  const strokes = Math.min(40, Math.max(2, teeth));
  return (
    <>
      <Path
        d={`M${x} ${PIVOT}L${at(-HALF, RIM)}A${RIM} ${RIM} 0 0 1 ${at(HALF, RIM)}Z`}
        fill={colours.surface}
        stroke={colours.ink}
        strokeWidth={1.5}
      />
      {Array.from({ length: strokes }, (_, i) => -HALF + (2 * HALF * (i + 0.5)) / strokes).map((angle) => (
        <Line
          key={angle}
          x1={x + ROOT * Math.sin(angle)}
          y1={PIVOT - ROOT * Math.cos(angle)}
          x2={x + RIM * Math.sin(angle + 0.03)}
          y2={PIVOT - RIM * Math.cos(angle + 0.03)}
          stroke={colours.ink}
          strokeWidth={2.5}
        />
      ))}
      <Circle cx={x} cy={PIVOT} r={14} fill={colours.paper} stroke={colours.ink} strokeWidth={1.5} />
    </>
  );
}
