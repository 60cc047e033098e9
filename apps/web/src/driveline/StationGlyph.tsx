import { useId, type ReactElement } from 'react';
import Svg, { Circle, ClipPath, Defs, G, Line, Path, Rect } from 'react-native-svg';
import type { Colours } from '../design/useColours.ts';
import type { StationShape } from './stationShape.ts';
import { gearOutline } from './gearOutline.ts';

const SIZE = 68;
const CENTRE = SIZE / 2;

interface Props {
  readonly shape: StationShape;
  /** Where it has turned to, degrees; for a worm the thread walks along. */
  readonly angle: number;
  readonly colours: Colours;
  readonly lit?: boolean | undefined;
}

/** A body of the chain as what it is, with one marked tooth so that turning shows. */
export function StationGlyph({ shape, angle, colours, lit = false }: Props) {
  const stroke = lit ? colours.heat : colours.ink;
  const id = useId();
  return (
    <Svg width={SIZE} height={SIZE} viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden>
      {DRAW[shape]({ id, angle, stroke, fill: colours.surface, mark: colours.heat, shade: colours.sunken })}
    </Svg>
  );
}

interface Pens {
  /** Names the clip of this one drawing: several stand on a page. */
  readonly id: string;
  readonly angle: number;
  readonly stroke: string;
  readonly fill: string;
  readonly mark: string;
  readonly shade: string;
}

const THREAD_PX = 9;

const DRAW: Readonly<Record<StationShape, (pens: Pens) => ReactElement>> = {
  worm: ({ id, angle, stroke, fill, mark }) => {
    const walk = ((angle / 360) * THREAD_PX) % THREAD_PX;
    const threads = Array.from({ length: 10 }, (_, i) => i * THREAD_PX - 14 + walk);
    return (
      <G>
        <Defs>
          <ClipPath id={id}>
            <Rect x={8} y={20} width={52} height={28} rx={4} />
          </ClipPath>
        </Defs>
        <Rect x={2} y={29} width={64} height={10} fill={fill} stroke={stroke} strokeWidth={2} />
        <Rect x={8} y={20} width={52} height={28} rx={4} fill={fill} />
        <G clipPath={`url(#${id})`}>
          {threads.map((x, i) => (
            <Line key={i} x1={x} y1={48} x2={x + 8} y2={20} stroke={i === 5 ? mark : stroke} strokeWidth={i === 5 ? 4 : 3} />
          ))}
        </G>
        <Rect x={8} y={20} width={52} height={28} rx={4} fill="none" stroke={stroke} strokeWidth={2.5} />
      </G>
    );
  },
  wheel: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${CENTRE} ${CENTRE})`}>
      <Path
        d={gearOutline({ teeth: 14, tip: 29, root: 23, centre: CENTRE })}
        fill={fill}
        stroke={stroke}
        strokeWidth={2.5}
        strokeLinejoin="round"
      />
      <Circle cx={CENTRE} cy={CENTRE} r={7} fill="none" stroke={stroke} strokeWidth={2.5} />
      <Circle cx={CENTRE} cy={13} r={4} fill={mark} />
    </G>
  ),
  drum: ({ angle, stroke, fill, mark, shade }) => (
    <G transform={`rotate(${angle} ${CENTRE} ${CENTRE})`}>
      <Circle cx={CENTRE} cy={CENTRE} r={27} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={CENTRE} cy={CENTRE} r={19} fill={shade} stroke={stroke} strokeWidth={1.5} />
      <Circle cx={CENTRE} cy={CENTRE} r={6} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Line x1={CENTRE} y1={8} x2={CENTRE} y2={17} stroke={mark} strokeWidth={5} />
    </G>
  ),
  driver: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${CENTRE} ${CENTRE})`}>
      <Circle cx={CENTRE} cy={CENTRE} r={27} fill={fill} stroke={stroke} strokeWidth={2.5} strokeDasharray="6 4" />
      <Line x1={CENTRE} y1={CENTRE} x2={CENTRE} y2={15} stroke={stroke} strokeWidth={7} strokeLinecap="round" />
      <Circle cx={CENTRE} cy={CENTRE} r={8} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={CENTRE} cy={15} r={4} fill={mark} />
    </G>
  ),
  arm: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${CENTRE} ${CENTRE})`}>
      <Circle cx={CENTRE} cy={CENTRE} r={13} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Path
        d={`M ${CENTRE} ${CENTRE - 13} C ${CENTRE + 2} ${CENTRE - 22}, ${CENTRE + 12} ${CENTRE - 20}, ${CENTRE + 16} ${CENTRE - 28}`}
        fill="none"
        stroke={stroke}
        strokeWidth={4}
        strokeLinecap="round"
      />
      <Circle cx={CENTRE + 16} cy={CENTRE - 27} r={4} fill={mark} />
    </G>
  ),
  bevel: ({ angle, stroke, fill, mark }) => (
    <G>
      <Path d="M14 14 L54 22 L54 46 L14 54 Z" fill={fill} stroke={stroke} strokeWidth={2.5} strokeLinejoin="round" />
      {[0, 1, 2, 3, 4].map((i) => {
        const y = 14 + ((i * 10 + wrapped(angle / 9, 10)) % 40);
        return (
          <Line
            key={i}
            x1={14}
            y1={y}
            x2={54}
            y2={CENTRE + (y - CENTRE) * 0.6}
            stroke={i === 2 ? mark : stroke}
            strokeWidth={i === 2 ? 4 : 2.5}
          />
        );
      })}
      <Rect x={54} y={28} width={10} height={12} fill={fill} stroke={stroke} strokeWidth={2} />
    </G>
  ),
  sector: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${swing(angle)} ${CENTRE} 14)`}>
      <Path d={sectorOutline} fill={fill} stroke={stroke} strokeWidth={2.5} strokeLinejoin="round" />
      <Circle cx={CENTRE} cy={14} r={5} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={CENTRE} cy={46} r={4} fill={mark} />
    </G>
  ),
  screw: ({ angle, stroke, fill, mark }) => (
    <G>
      <Rect x={4} y={27} width={60} height={14} fill={fill} stroke={stroke} strokeWidth={2.5} />
      {[0, 1, 2, 3, 4, 5, 6].map((i) => {
        const x = 6 + ((i * 8 + wrapped(angle / 45, 8)) % 56);
        return <Line key={i} x1={x} y1={41} x2={x + 4} y2={27} stroke={i === 3 ? mark : stroke} strokeWidth={i === 3 ? 4 : 2.5} />;
      })}
    </G>
  ),
  nut: ({ angle, stroke, fill, mark }) => (
    <G>
      <Line x1={2} y1={CENTRE} x2={66} y2={CENTRE} stroke={stroke} strokeWidth={6} strokeDasharray="4 3" />
      <G transform={`translate(${swing(angle / 6) / 2} 0)`}>
        <Rect x={20} y={18} width={28} height={32} rx={4} fill={fill} stroke={stroke} strokeWidth={2.5} />
        <Circle cx={CENTRE} cy={26} r={4} fill={mark} />
      </G>
    </G>
  ),
  rack: ({ angle, stroke, fill, mark }) => (
    <G transform={`translate(${swing(angle / 40) / 2} 0)`}>
      <Path d={rackOutline} fill={fill} stroke={stroke} strokeWidth={2.5} strokeLinejoin="round" />
      <Circle cx={CENTRE} cy={42} r={4} fill={mark} />
    </G>
  ),
  cage: ({ angle, stroke, fill, mark }) => (
    <G transform={`rotate(${angle} ${CENTRE} ${CENTRE})`}>
      <Circle cx={CENTRE} cy={CENTRE} r={27} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Path
        d={`M${CENTRE - 16} ${CENTRE - 8} v16 l10 -8 Z M${CENTRE + 16} ${CENTRE - 8} v16 l-10 -8 Z`}
        fill="none"
        stroke={stroke}
        strokeWidth={2.5}
      />
      <Path
        d={`M${CENTRE - 8} ${CENTRE - 16} h16 l-8 10 Z M${CENTRE - 8} ${CENTRE + 16} h16 l-8 -10 Z`}
        fill="none"
        stroke={stroke}
        strokeWidth={2.5}
      />
      <Circle cx={CENTRE} cy={11} r={4} fill={mark} />
    </G>
  ),
  slider: ({ angle, stroke, fill, mark }) => (
    <G transform={`translate(${swing(angle / 40) / 2} 0)`}>
      <Rect x={10} y={24} width={48} height={20} fill={fill} stroke={stroke} strokeWidth={2.5} />
      <Circle cx={20} cy={34} r={4} fill={mark} />
    </G>
  ),
};

const wrapped = (value: number, span: number) => ((value % span) + span) % span;

/** To and fro between −20 and 20: what slides or swings would leave the picture otherwise. */
const swing = (value: number) => 20 * (2 * Math.abs(wrapped(value / 80 + 0.75, 1) * 2 - 1) - 1);

const sectorOutline = (() => {
  const teeth = Array.from({ length: 7 }, (_, i) => {
    const at = (deg: number, radius: number) => {
      const turn = (deg * Math.PI) / 180;
      return `${(CENTRE + radius * Math.sin(turn)).toFixed(1)} ${(14 + radius * Math.cos(turn)).toFixed(1)}`;
    };
    const from = -42 + i * 12;
    return `L${at(from, 40)} L${at(from + 3, 47)} L${at(from + 7, 47)} L${at(from + 10, 40)}`;
  });
  return `M${CENTRE - 6} 12 ${teeth.join(' ')} L${CENTRE + 6} 12 Z`;
})();

const rackOutline = `M6 50 V30 ${Array.from({ length: 5 }, (_, i) => `L${8 + i * 11} 30 l3 -10 h4 l3 10`).join(' ')} L62 30 V50 Z`;
