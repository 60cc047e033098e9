import { Path } from 'react-native-svg';
import { useColours } from '../../design/useColours.ts';
import { DRAWING } from '../CalloutDrawing.tsx';

const { x, y } = DRAWING.centre;
const [TEETH, PITCH, HEIGHT] = [6, 30, 34];

/** A rack from the side: straight flanks, as a rack's are. */
export function RackDrawing() {
  const colours = useColours();
  const left = x - (TEETH * PITCH) / 2;
  const teeth = Array.from({ length: TEETH }, (_, i) => {
    const at = left + i * PITCH;
    return `L${at + 2} ${y + HEIGHT / 2} L${at + 11} ${y - HEIGHT / 2} L${at + 19} ${y - HEIGHT / 2} L${at + 28} ${y + HEIGHT / 2}`;
  });
  return (
    <Path
      d={`M${left} ${y + HEIGHT / 2}${teeth.join('')}L${left + TEETH * PITCH} ${y + HEIGHT / 2}V${y + 60}H${left}Z`}
      fill={colours.surface}
      stroke={colours.ink}
      strokeWidth={2}
    />
  );
}
