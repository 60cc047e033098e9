import type { Step } from '../access/step.ts';
import type { Pack } from './pack.ts';

/** Cautions of a look and of the steps on the way to it, each once. */
export function cautionsOn(pack: Pack, own: readonly string[], steps: readonly Step[]): Pack['cautions'] {
  const wanted = new Set([...steps.flatMap(({ cautions }) => cautions), ...own]);
  return pack.cautions.filter(({ id }) => wanted.has(id));
}
