import { Line, Path, Polygon } from 'react-native-svg';
import { useColours } from '../../design/useColours.ts';
import { DRAWING } from '../CalloutDrawing.tsx';

const { x, y } = DRAWING.centre;

/** A bevel from the side, its large end below. */
export function BevelDrawing() {
  const colours = useColours();
  return (
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
  );
}
