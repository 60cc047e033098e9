import { CoreFailure, type OperationInput, type OperationName, type OperationOutput } from '@patient-badger/core';
import { failureSentence } from '@patient-badger/wording';
import { operations } from './operations.ts';

export type OperationResult<N extends OperationName> =
  { readonly ok: true; readonly output: OperationOutput<N> } | { readonly ok: false; readonly sentence: string };

/** Runs a small sum at once, on the screen's own thread. A refusal comes back as the mechanic's sentence. */
export function runOperation<N extends OperationName>(name: N, input: OperationInput<N>): OperationResult<N> {
  try {
    return { ok: true, output: operations.run(name, input) };
  } catch (error) {
    if (error instanceof CoreFailure) return { ok: false, sentence: failureSentence(error) };
    throw error;
  }
}
