import { CoreFailure, sentence } from '@patient-badger/core';
import { operations } from '@patient-badger/knowledge';

export type WorkedOut<T> = { readonly ok: true; readonly output: T } | { readonly ok: false; readonly sentence: string };

/** Runs a small sum at once, on the screen's own thread. A refusal comes back as the mechanic's sentence. */
export function workOut<T>(name: string, input: unknown): WorkedOut<T> {
  try {
    return { ok: true, output: operations.run(name, input) as T };
  } catch (error) {
    if (error instanceof CoreFailure) return { ok: false, sentence: sentence(error) };
    throw error;
  }
}
