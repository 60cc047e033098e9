import { useKeys } from './useKeys.ts';

/** Arrow keys walk up and down a list, round its ends. */
export function useArrows(list: readonly { readonly id: string }[], here: string | undefined, pick: (id: string | null) => void): void {
  const move = (by: number) => {
    const at = list.findIndex(({ id }) => id === here);
    pick(list[(at + by + list.length) % list.length]?.id ?? null);
  };
  useKeys(list.length > 1 ? { ArrowDown: () => move(1), ArrowUp: () => move(-1) } : {});
}
