import { Circle, Line } from 'react-native-svg';
import { useColours } from '../../design/useColours.ts';
import { DRAWING } from '../CalloutDrawing.tsx';

const { x, y } = DRAWING.centre;
/** More strokes than these run together on a phone. */
const MAX_STROKES = 60;

/** A worm wheel along its axis. */
export function WormWheelDrawing({ teeth }: { teeth: number }) {
  const colours = useColours();
  const strokes = Math.min(MAX_STROKES, teeth);
  return (
    <>
      <Circle cx={x} cy={y} r={82} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} />
      <Circle cx={x} cy={y} r={70} fill="none" stroke={colours.soft} strokeDasharray="4 4" />
      {Array.from({ length: strokes }, (_, i) => (2 * Math.PI * i) / strokes).map((at) => (
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
  );
}
