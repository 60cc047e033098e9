import type { RefObject } from 'react';
import type { GestureResponderEvent, View } from 'react-native';

/** Where on a board a finger is, as shares of its width and height, kept on the board. */
export function placeOn(
  board: RefObject<View | null>,
  { nativeEvent: { pageX, pageY } }: GestureResponderEvent,
): readonly [number, number] {
  const box = (board.current as unknown as HTMLElement | null)?.getBoundingClientRect();
  if (!box) return [0, 0];
  const share = (value: number, of: number) => Math.min(1, Math.max(0, Number((value / of).toFixed(4))));
  return [share(pageX - box.left - window.scrollX, box.width), share(pageY - box.top - window.scrollY, box.height)];
}
