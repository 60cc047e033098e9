import type * as Rest from '../rest.ts';

let loading: Promise<typeof Rest> | undefined;

/** Everything that the first screen can do without, in one piece that comes after it. Tried again where the connection was away. */
export function rest(): Promise<typeof Rest> {
  loading ??= import('../rest.ts').catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  return loading;
}
