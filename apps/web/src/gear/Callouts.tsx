import { Pressable } from 'react-native';
import { Line } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

export const DRAWING = { width: 340, height: 362, middle: { x: 170, y: 146 } } as const;

/** A box to tap for one dimension, and the spot of the drawing that it points at. */
export interface Callout<Quantity extends string> {
  readonly quantity: Quantity;
  readonly left: number;
  readonly top: number;
  readonly to: { readonly x: number; readonly y: number };
}

export function CalloutLines({ callouts, advised }: { callouts: readonly Callout<string>[]; advised?: string }) {
  const colours = useColours();
  return callouts.map(({ quantity, left, top, to }) => (
    <Line
      key={quantity}
      x1={edgeOf(left, top)}
      y1={top < DRAWING.middle.y ? top + 56 : Math.min(top, 306)}
      x2={to.x}
      y2={to.y}
      stroke={advised === quantity ? colours.heat : colours.line}
      strokeWidth={2}
    />
  ));
}

interface BoxesProps<Quantity extends string> {
  readonly callouts: readonly Callout<Quantity>[];
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly words: Readonly<Record<Quantity, { readonly short: string }>>;
  readonly advised?: string;
  readonly onPick: (quantity: Quantity) => void;
}

export function CalloutBoxes<Quantity extends string>({ callouts, values, words, advised, onPick }: BoxesProps<Quantity>) {
  return callouts.map(({ quantity, left, top }) => (
    <Pressable
      key={quantity}
      role="button"
      aria-label={`${words[quantity].short}: ${values[quantity] ?? 'not measured'}`}
      onPress={() => onPick(quantity)}
      testID={`callout-${quantity}`}
      style={{ position: 'absolute', left, top, width: 158, height: 56 }}
      className={`justify-center rounded-md border-2 bg-surface px-2 active:opacity-70 ${advised === quantity ? 'border-heat' : 'border-line'}`}
    >
      <Text look="soft" numberOfLines={1}>
        {words[quantity].short}
        {advised === quantity ? ' · next' : ''}
      </Text>
      <Text look="figure" numberOfLines={1} className="text-[19px]">
        {values[quantity] ?? 'measure'}
      </Text>
    </Pressable>
  ));
}

/** Leader lines of the lowest row leave through the gap between the upper boxes. */
function edgeOf(left: number, top: number): number {
  if (top <= 300) return left + 79;
  return left === 0 ? 164 : 176;
}
