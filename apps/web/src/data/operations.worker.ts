import { CoreFailure, sentence } from '@patient-badger/core';
import { operations } from '@patient-badger/knowledge';
import { expose } from 'comlink';

export type WorkerAnswer =
  { readonly ok: true; readonly output: unknown } | { readonly ok: false; readonly path: string; readonly sentence: string };

/** The operations on a thread of their own. A refusal crosses as data: classes do not survive the way. */
const door = {
  run(name: string, input: unknown): WorkerAnswer {
    try {
      return { ok: true, output: operations.run(name, input) };
    } catch (error) {
      if (error instanceof CoreFailure) return { ok: false, path: error.path, sentence: sentence(error) };
      throw error;
    }
  },
};
export type OperationsDoor = typeof door;
expose(door);
