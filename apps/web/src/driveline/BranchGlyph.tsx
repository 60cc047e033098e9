import Svg, { Circle, Line } from 'react-native-svg';
import type { Colours } from '../design/useColours.ts';

/** Something beside the chain (a tank, a hose): the chain runs past it, unless it stands at its end. */
export function BranchGlyph({ colours, lit, last }: { colours: Colours; lit: boolean; last: boolean }) {
  const stroke = lit ? colours.heat : colours.soft;
  return (
    <Svg width={68} height={52} viewBox="0 0 68 52" aria-hidden>
      <Line x1={34} y1={0} x2={34} y2={last ? 26 : 52} stroke={colours.soft} strokeWidth={3} />
      <Line x1={34} y1={26} x2={50} y2={26} stroke={stroke} strokeWidth={2} strokeDasharray="4 3" />
      <Circle cx={58} cy={26} r={7} fill={colours.surface} stroke={stroke} strokeWidth={2.5} />
    </Svg>
  );
}
