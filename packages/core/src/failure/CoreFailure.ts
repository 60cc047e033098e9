import type { FailureReason } from './FailureReason.ts';

/** What can be wrong with an input. The words for people live in the wording package. */
export type FailureCode =
  | 'wrongType'
  | 'missing'
  | 'notPositive'
  | 'outOfRange'
  | 'notWhole'
  | 'unknownField'
  | 'unknownId'
  | 'duplicateId'
  | 'contradiction'
  | 'impossibleGeometry'
  | 'nothingGiven'
  | 'tooMany'
  | 'tooLong'
  | 'noAnswer'
  | 'invalid';

/** What the words need: bounds, the value given, the ids allowed, and the reason where the code alone does not say it. */
export type FailureDetail = Readonly<Record<string, string | number | boolean | undefined>> & {
  readonly reason?: FailureReason | undefined;
};

export interface FailureData {
  readonly code: FailureCode;
  /** Dotted path of the field at fault, array positions as numbers: `driveline.joints.2.teeth`. */
  readonly path: string;
  readonly detail?: FailureDetail | undefined;
}

/** A refusal of the core: tagged data, thrown, never a NaN and never an empty answer. */
export class CoreFailure extends Error implements FailureData {
  readonly code: FailureCode;
  readonly path: string;
  readonly detail: FailureDetail;

  constructor(data: FailureData) {
    super(`${data.code} at ${data.path || '(input)'}`);
    this.name = 'CoreFailure';
    this.code = data.code;
    this.path = data.path;
    this.detail = data.detail ?? {};
  }
}

export const fail = (code: FailureCode, path: string, detail?: FailureData['detail']): CoreFailure =>
  new CoreFailure({ code, path, detail });
