import type { ReactElement } from 'react';
import Svg, { Circle, ClipPath, Defs, G, Line, Path, Rect } from 'react-native-svg';
import type { Colours } from '../design/useColours.ts';
import type { StationShape } from './stationShape.ts';
import { gearOutline } from './gearOutline.ts';

const SIZE = 68;
const MIDDLE = SIZE / 2;

interface Props {
  readonly shape: StationShape;
  /** Where it has turned to, degrees; for a worm the thread walks along. */
  readonly angle: number;
  readonly colours: Colours;
  readonly lit?: boolean;
}

/** A body of the chain as what it is, with one marked tooth so that turning shows. */
export function StationGlyph({ shape, angle, colours, lit = false }: Props) {
  const stroke = lit ? colours.heat : colours.ink;
  return (
    <Svg width={SIZE} height={SIZE} viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden>
      {DRAW[shape]({ angle, stroke, fill: colours.surface, mark: colours.heat, shade: colours.sunken })}
    </Svg>
  );
}

interface Pens {
  readonly angle: number;
  readonly stroke: string;
  readonly fill: string;
  readonly mark: string;
  readonly shade: string;
}

const THREAD_PX = 9;

const DRAW: Readonly<Record<StationShape, (pens: Pens) => ReactElement>> = {
  worm: ({ angle, stroke, fill, mark }) => {
    const walk = ((angle / 360) * THREAD_PX) % THREAD_PX;
    const threads = Array.from({ length: 10 }, (_, i) => i * THREAD_PX - 14 + walk);
    return (
      <G>
        <Defs>
          <ClipPath id="worm">
            <Rect x={8} y={20} width={52} height={28} rx={4} />
          </ClipPath>
        </Defs>
        <Rect x={2} y={29} width={64} height={10} fill={fill} stroke={stroke} strokeWidth={2} />
        <Rect x={8} y={20} width={52} height={28} rx={4} fill={fill} />
        <G clipPath="url(#worm)">
          {threads.map((x, i) => (
            <Line key={i} x1={x} y1={48} x2={x + 8} y2={20} stroke={i === 5 ? mark : stroke} strokeWidth={i === 5 ? 4 : 3} />
          ))}
        </G>
        <Rect x={8} y={20} width={52} height={28} rx={4} fill="none" stroke={stroke} strokeWidth={2.5} />
      </G>
    );
  },
  wheel: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${MIDDLE} ${MIDDLE})`}>
      <Path d={gearOutline(14, 29, 23, MIDDLE)} fill={fill} stroke={stroke} strokeWidth={2.5} strokeLinejoin="round" />
      <Circle cx={MIDDLE} cy={MIDDLE} r={7} fill="none" stroke={stroke} strokeWidth={2.5} />
      <Circle cx={MIDDLE} cy={13} r={4} fill={mark} />
    </G>
  ),
  drum: ({ angle, stroke, fill, mark, shade }) => (
    <G transform={`rotate(${angle} ${MIDDLE} ${MIDDLE})`}>
      <Circle cx={MIDDLE} cy={MIDDLE} r={27} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={MIDDLE} cy={MIDDLE} r={19} fill={shade} stroke={stroke} strokeWidth={1.5} />
      <Circle cx={MIDDLE} cy={MIDDLE} r={6} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Line x1={MIDDLE} y1={8} x2={MIDDLE} y2={17} stroke={mark} strokeWidth={5} />
    </G>
  ),
  driver: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${MIDDLE} ${MIDDLE})`}>
      <Circle cx={MIDDLE} cy={MIDDLE} r={27} fill={fill} stroke={stroke} strokeWidth={2.5} strokeDasharray="6 4" />
      <Line x1={MIDDLE} y1={MIDDLE} x2={MIDDLE} y2={15} stroke={stroke} strokeWidth={7} strokeLinecap="round" />
      <Circle cx={MIDDLE} cy={MIDDLE} r={8} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={MIDDLE} cy={15} r={4} fill={mark} />
    </G>
  ),
  arm: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${MIDDLE} ${MIDDLE})`}>
      <Circle cx={MIDDLE} cy={MIDDLE} r={13} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Path
        d={`M ${MIDDLE} ${MIDDLE - 13} C ${MIDDLE + 2} ${MIDDLE - 22}, ${MIDDLE + 12} ${MIDDLE - 20}, ${MIDDLE + 16} ${MIDDLE - 28}`}
        fill="none"
        stroke={stroke}
        strokeWidth={4}
        strokeLinecap="round"
      />
      <Circle cx={MIDDLE + 16} cy={MIDDLE - 27} r={4} fill={mark} />
    </G>
  ),
  slider: ({ angle, stroke, fill, mark }) => (
    <G transform={`translate(${(angle / 360) * 6} 0)`}>
      <Rect x={10} y={24} width={48} height={20} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={20} cy={34} r={4} fill={mark} />
    </G>
  ),
};
