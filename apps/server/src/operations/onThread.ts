import { CoreFailure, type FailureData } from '@patient-badger/core';
import { operations } from './operations.ts';

export interface OperationTask {
  readonly name: string;
  readonly input: unknown;
}
/** An answer as it goes over the wire, or the core's refusal as data. */
export type OperationReply = { readonly ok: true; readonly json: string } | { readonly ok: false; readonly failure: FailureData };

/** An operation on a thread, away from the one that answers everybody. */
export function work({ name, input }: OperationTask): OperationReply {
  try {
    return { ok: true, json: JSON.stringify(operations.runNamed(name, input)) };
  } catch (error) {
    if (!(error instanceof CoreFailure)) throw error;
    const { code, path, detail } = error;
    return { ok: false, failure: { code, path, detail } };
  }
}
