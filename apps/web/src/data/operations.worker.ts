import { CoreFailure } from '@patient-badger/core';
import { failureSentence } from '@patient-badger/wording';
import { expose } from 'comlink';
import { operations } from './operations.ts';

export type WorkerAnswer =
  { readonly ok: true; readonly output: unknown } | { readonly ok: false; readonly path: string; readonly sentence: string };

/** The operations on a thread of their own. A refusal crosses as data: classes do not survive the way. */
const api = {
  run(name: string, input: unknown): WorkerAnswer {
    try {
      return { ok: true, output: operations.runNamed(name, input) };
    } catch (error) {
      if (error instanceof CoreFailure) return { ok: false, path: error.path, sentence: failureSentence(error) };
      throw error;
    }
  },
};
export type OperationsApi = typeof api;
expose(api);
