import { Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../../design/useColours.ts';
import { DRAWING } from '../CalloutDrawing.tsx';

const { x, y } = DRAWING.centre;
const THREADS = 9;
const PITCH = 18;

/** A screw from the side with its nut on it, the thread rising to the right. */
export function ScrewDrawing() {
  const colours = useColours();
  const left = x - (THREADS * PITCH) / 2;
  return (
    <>
      <Rect x={left} y={y - 22} width={THREADS * PITCH} height={44} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} />
      {Array.from({ length: THREADS }, (_, i) => left + i * PITCH).map((at) => (
        <Line key={at} x1={at + 2} y1={y + 28} x2={at + 12} y2={y - 28} stroke={colours.ink} strokeWidth={4} />
      ))}
      <Path d={`M${x - 74} ${y - 40}h40v80h-40z`} fill={colours.paper} stroke={colours.ink} strokeWidth={2} />
    </>
  );
}
