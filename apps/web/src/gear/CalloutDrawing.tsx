import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Line } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

export const DRAWING = { width: 340, height: 362, centre: { x: 170, y: 146 } } as const;

/** A box to tap for one dimension, and the spot of the drawing that it points at. */
export interface Callout<Quantity extends string> {
  readonly quantity: Quantity;
  readonly left: number;
  readonly top: number;
  readonly to: { readonly x: number; readonly y: number };
}

interface Props<Quantity extends string> {
  readonly label: string;
  readonly callouts: readonly Callout<Quantity>[];
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly words: Readonly<Record<Quantity, { readonly short: string }>>;
  readonly advised?: string | undefined;
  readonly onPick: (quantity: Quantity) => void;
  /** The gear itself. */
  readonly children: ReactNode;
}

/** A drawing of a gear with a callout to tap for each dimension. */
export function CalloutDrawing<Quantity extends string>({ label, callouts, values, words, advised, onPick, children }: Props<Quantity>) {
  const colours = useColours();
  const { width, height } = DRAWING;
  return (
    <View className="self-center" style={{ width, height }} role="group" aria-label={label}>
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} style={{ position: 'absolute' }} aria-hidden>
        {children}
        {callouts.map(({ quantity, left, top, to }) => (
          <Line
            key={quantity}
            x1={edgeOf(left, top)}
            y1={top < DRAWING.centre.y ? top + 56 : Math.min(top, 306)}
            x2={to.x}
            y2={to.y}
            stroke={advised === quantity ? colours.heat : colours.line}
            strokeWidth={2}
          />
        ))}
      </Svg>
      {callouts.map(({ quantity, left, top }) => (
        <Pressable
          key={quantity}
          role="button"
          onPress={() => onPick(quantity)}
          testID={`callout-${quantity}`}
          style={{ position: 'absolute', left, top, width: 158, height: 56 }}
          className={`justify-center rounded-md border-2 bg-surface px-2 active:opacity-70 ${advised === quantity ? 'border-heat' : 'border-line'}`}
        >
          <Text variant="soft" numberOfLines={1}>
            {words[quantity].short}
            {`${advised === quantity ? t.next : ''} `}
          </Text>
          <Text variant="figure" numberOfLines={1} className="text-[19px]">
            {values[quantity] ?? shared.measure}
          </Text>
        </Pressable>
      ))}
    </View>
  );
}

/** Leader lines of the lowest row leave through the gap between the upper boxes. */
function edgeOf(left: number, top: number): number {
  if (top <= 300) return left + 79;
  return left === 0 ? 164 : 176;
}
