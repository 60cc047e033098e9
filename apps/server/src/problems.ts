import type { ProblemCode } from '@patient-badger/contract';
import { problemSentence, type ProblemDetail } from '@patient-badger/wording';

/** The HTTP status of every refusal of the server. */
export const PROBLEM_STATUS: Readonly<Record<ProblemCode, number>> = {
  invalidInput: 400,
  unknownPerson: 422,
  signInFirst: 401,
  wrongPassphrase: 403,
  wrongPin: 403,
  pinSpent: 403,
  pinLocked: 403,
  lockedOut: 429,
  weakPassphrase: 422,
  weakPin: 422,
  nameTaken: 409,
  wrongCode: 403,
  shopThere: 409,
  confirmWho: 403,
  ownersOnly: 403,
  lastOwner: 409,
  otherOrigin: 403,
  unknownMachine: 422,
  unknownModel: 422,
  modelTaken: 409,
  modelInUse: 409,
  otherMachine: 409,
  bookBroken: 422,
  unknownJob: 404,
  unknownFamily: 422,
  otherFamily: 400,
  familyShips: 409,
  familyInUse: 409,
  familyCanHurt: 409,
  makeNeedsFamily: 422,
  noInstrument: 409,
  instrumentLost: 503,
  ledgerOpen: 422,
  secondCheckMissing: 422,
  handInIt: 422,
  notVouched: 422,
  unsigned: 403,
  lookOverMissing: 422,
  unproved: 422,
  unset: 422,
  unfitted: 422,
  notForApprentices: 403,
  notAlone: 409,
  notYourEntry: 422,
  cannotBeKept: 422,
  partsKnown: 409,
  anotherGear: 409,
  rowTooLong: 422,
  importBroken: 500,
  importCut: 500,
  importBusy: 503,
  uploadElsewhere: 409,
  exportBusy: 503,
  newerDatabase: 503,
  notFound: 404,
  photoTooLarge: 413,
  photoWrongType: 415,
  photoBroken: 422,
  photoTooManyPixels: 413,
  photoBusy: 503,
  photoLate: 503,
  operationBusy: 503,
  operationLate: 422,
  recordReadOnly: 503,
  diskFull: 503,
  diskLow: 200,
  backupFailed: 200,
  clockOff: 200,
  bodyTooLarge: 413,
  tooMany: 429,
  databaseAway: 503,
  broken: 500,
};

interface Refusal {
  readonly path?: string | undefined;
  /** What the words of the code need. */
  readonly detail?: ProblemDetail | undefined;
  /** Words of the core's own failure, where the server passes one on. */
  readonly sentence?: string | undefined;
}

/** A refusal of the server: a code, worded by the wording package. */
export class ServerProblem extends Error {
  readonly code: ProblemCode;
  readonly path: string | undefined;
  constructor(code: ProblemCode, { path, detail, sentence }: Refusal = {}) {
    super(sentence ?? problemSentence(code, detail));
    this.name = 'ServerProblem';
    this.code = code;
    this.path = path;
  }
}
