import { t } from '@patient-badger/wording/scan';
import type { ScanRead, SectorScanRead } from '@patient-badger/core/gear';
import { useRef, useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import Svg, { Circle, Ellipse, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { placeOn } from '../photo/placeOn.ts';

export interface Spot {
  readonly xPx: number;
  readonly yPx: number;
}

/** The ends of a length with one more laid: a third begins anew. */
export const withSpot = (laid: readonly Spot[], spot: Spot): readonly Spot[] => (laid.length === 2 ? [spot] : [...laid, spot]);

/** What was found, drawn over the photo: a rim with its teeth, an axis from end to end, or an arc with teeth on it. */
export interface Over {
  readonly rim?: ScanRead;
  readonly line?: readonly [Spot, Spot];
  readonly arc?: SectorScanRead;
}

interface Props {
  /** Where the browser holds the photo. */
  readonly address: string;
  readonly width: number;
  readonly height: number;
  readonly over?: Over | undefined;
  /** Ends of the known length, as far as they are laid. */
  readonly length: readonly Spot[];
  readonly onTap?: ((spot: Spot) => void) | undefined;
}

const INK = '#0B2239';
const LIGHT = '#FFFFFF';
/** Dark on a light band, to be seen on steel and on wood. */
const BAND = [
  [LIGHT, 5],
  [INK, 2],
] as const;

/** The photo with what was found drawn over it: rim, middle, and a mark of its own shape at each tooth that is not as the others. */
export function ScanPhoto({ address, width, height, over = {}, length, onTap }: Props) {
  const [shown, setShown] = useState(0);
  const board = useRef<View>(null);
  // Lines as thick on any photo: so many pixels of it to one of the screen.
  const px = shown > 0 ? width / shown : 1;
  return (
    <View className="w-full" onLayout={({ nativeEvent }) => setShown(nativeEvent.layout.width)}>
      {/* A press, not a gesture of its own: what is a tap and what drags the page is the platform's to say. */}
      <Pressable
        ref={board}
        testID="scan-board"
        tabIndex={-1}
        className="overflow-hidden rounded-md border-2 border-line"
        style={{ width: '100%', aspectRatio: width / height, cursor: onTap ? 'crosshair' : 'auto' } as object}
        onPress={(event) => {
          const [x, y] = placeOn(board, event);
          onTap?.({ xPx: x * width, yPx: y * height });
        }}
      >
        <View pointerEvents="none" style={{ width: '100%', height: '100%' }}>
          <Image source={{ uri: address }} aria-label={t.photoOfTheGear} style={{ width: '100%', height: '100%' }} />
          <Svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`} style={{ position: 'absolute' }} aria-hidden>
            {over.rim ? <Found found={over.rim} px={px} /> : null}
            {BAND.map(([stroke, thick]) => (
              <Path key={stroke} d={traced(over)} fill="none" stroke={stroke} strokeWidth={thick * px} />
            ))}
            {length.map(({ xPx, yPx }, i) => (
              <G key={i}>
                <Circle cx={xPx} cy={yPx} r={9 * px} fill="none" stroke={LIGHT} strokeWidth={5 * px} />
                <Circle cx={xPx} cy={yPx} r={9 * px} fill="none" stroke={INK} strokeWidth={2 * px} />
              </G>
            ))}
            {length.length === 2 ? (
              <Line x1={length[0]?.xPx} y1={length[0]?.yPx} x2={length[1]?.xPx} y2={length[1]?.yPx} stroke={LIGHT} strokeWidth={3 * px} />
            ) : null}
          </Svg>
        </View>
      </Pressable>
    </View>
  );
}

/** The line or the arc that was found, from end to end. */
function traced({ line, arc }: Over): string {
  if (line) return `M${line[0].xPx} ${line[0].yPx}L${line[1].xPx} ${line[1].yPx}`;
  if (!arc) return '';
  const { from, to, centre, tipRadiusPx: r, arcDeg } = arc;
  const isLong = arcDeg.value > 180 ? 1 : 0;
  return `M${centre.xPx} ${centre.yPx}L${from.xPx} ${from.yPx}A${r} ${r} 0 ${isLong} 1 ${to.xPx} ${to.yPx}Z`;
}

function Found({ found: { centre, rim, flaws }, px }: { found: ScanRead; px: number }) {
  const { xPx: x, yPx: y } = centre;
  return (
    <>
      <G rotation={rim.axisDeg} originX={x} originY={y}>
        {BAND.map(([stroke, width]) => (
          <Ellipse key={stroke} cx={x} cy={y} rx={rim.longPx} ry={rim.shortPx} fill="none" stroke={stroke} strokeWidth={width * px} />
        ))}
      </G>
      <Path d={`M${x - 14 * px} ${y}h${28 * px}M${x} ${y - 14 * px}v${28 * px}`} stroke={LIGHT} strokeWidth={5 * px} />
      <Path d={`M${x - 14 * px} ${y}h${28 * px}M${x} ${y - 14 * px}v${28 * px}`} stroke={INK} strokeWidth={2 * px} />
      {flaws.map(({ kind, angleDeg, xPx, yPx }) => (
        <G key={`${kind}${angleDeg}`} x={x + (xPx - x) * OUT} y={y + (yPx - y) * OUT}>
          <Circle r={12 * px} fill={LIGHT} stroke={INK} strokeWidth={2 * px} />
          <SvgText y={5.5 * px} fontSize={16 * px} fontWeight="bold" textAnchor="middle" fill={INK}>
            {SIGNS[kind]}
          </SvgText>
        </G>
      ))}
    </>
  );
}

/** Marks stand this far out, so as not to hide the tooth. */
const OUT = 1.09;
/** Said below the photo in words. */
export const SIGNS = { missing: '–', short: '½', odd: '?' } as const;
