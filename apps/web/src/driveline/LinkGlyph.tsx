import type { FaultMode, Joint } from '@patient-badger/core/machine';
import type { ReactElement } from 'react';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import type { Colours } from '../design/useColours.ts';

const WIDTH = 68;
const HEIGHT = 44;
const X = WIDTH / 2;

interface Props {
  readonly type: Joint['type'];
  readonly colours: Colours;
  readonly lit: boolean;
  readonly fault?: FaultMode | undefined;
}

/** A joint between two stations as what it is; with a fault in it as what that makes of it. */
export function LinkGlyph({ type, colours, lit, fault }: Props) {
  const ground = lit ? colours.heat : colours.soft;
  const stroke = fault ? colours.danger : ground;
  return (
    <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <Line x1={X} y1={0} x2={X} y2={12} stroke={stroke} strokeWidth={3} />
      <Line x1={X} y1={HEIGHT - 12} x2={X} y2={HEIGHT} stroke={stroke} strokeWidth={3} />
      <Rect x={X - 18} y={11} width={36} height={22} fill={colours.paper} />
      {fault === 'open' || fault === 'slips' ? (
        <Path d={`M${X - 12} 14 L${X + 12} 30 M${X + 12} 14 L${X - 12} 30`} stroke={colours.danger} strokeWidth={4} strokeLinecap="round" />
      ) : (
        SIGN[type](stroke, colours.surface)
      )}
      {fault === 'jammed' ? (
        <Path d={`M${X - 22} 12 v20 M${X + 22} 12 v20`} stroke={colours.danger} strokeWidth={5} strokeLinecap="round" />
      ) : null}
    </Svg>
  );
}

const teeth = (stroke: string) => (
  <Path
    d={`M${X - 16} 18 l6 8 l6 -8 l6 8 l6 -8 l6 8`}
    fill="none"
    stroke={stroke}
    strokeWidth={3}
    strokeLinejoin="round"
    strokeLinecap="round"
  />
);

const SIGN: Readonly<Record<Joint['type'], (stroke: string, fill: string) => ReactElement>> = {
  mesh: teeth,
  bevel: (stroke) => (
    <Path
      d={`M${X - 13} 14 L${X} 30 L${X + 13} 14 M${X - 6} 13 l3 5 M${X + 6} 13 l-3 5`}
      fill="none"
      stroke={stroke}
      strokeWidth={3}
      strokeLinecap="round"
    />
  ),
  rack: (stroke) => (
    <Path
      d={`M${X - 16} 29 h32 M${X - 13} 28 l4 -11 l4 11 l5 -11 l4 11 l5 -11 l4 11`}
      fill="none"
      stroke={stroke}
      strokeWidth={3}
      strokeLinejoin="round"
    />
  ),
  differential: (stroke) => (
    <Path d={`M${X - 14} 14 v16 l14 -8 Z M${X + 14} 14 v16 l-14 -8 Z`} fill="none" stroke={stroke} strokeWidth={3} strokeLinejoin="round" />
  ),
  worm: (stroke) => (
    <Path
      d={`M${X - 15} 29 q4 -16 8 0 q4 -16 8 0 q4 -16 8 0`}
      fill="none"
      stroke={stroke}
      strokeWidth={3}
      strokeLinejoin="round"
      strokeLinecap="round"
      transform="translate(3 -3)"
    />
  ),
  screw: (stroke) => <Path d={`M${X - 12} 14 l24 4 M${X - 12} 21 l24 4 M${X - 12} 28 l24 4`} stroke={stroke} strokeWidth={3} />,
  seat: (stroke, fill) => <Rect x={X - 9} y={12} width={18} height={20} rx={3} fill={fill} stroke={stroke} strokeWidth={3} />,
  oneWay: (stroke) => (
    <Path d={`M${X - 10} 14 L${X} 30 L${X + 10} 14 Z`} fill="none" stroke={stroke} strokeWidth={3} strokeLinejoin="round" />
  ),
  belt: (stroke) => <Path d={`M${X - 8} 12 v20 M${X + 8} 12 v20`} stroke={stroke} strokeWidth={3} strokeDasharray="4 3" />,
};
