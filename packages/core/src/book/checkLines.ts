import { fail } from '../failure/CoreFailure.ts';
import type { Pack } from '../trace/pack.ts';
import type { BookLine } from './line.ts';

/** Every line must speak of something that the model has. @throws CoreFailure with the path of the first that does not */
export function checkLines({ gears, faults, steps }: Pack, lines: readonly BookLine[]): void {
  lines.forEach((line, i) => {
    const need = (list: readonly { readonly id: string }[], field: string, given: string) => {
      if (!list.some(({ id }) => id === given)) throw fail('unknownId', `lines.${i}.${field}`, { given });
    };
    if ('gear' in line && line.gear !== undefined) need(gears, 'gear', line.gear);
    if (line.kind === 'fault') need(faults, 'fault', line.fault);
    if (line.kind === 'torque') need(steps, 'step', line.step);
  });
}
