/** Every refusal the server can give: one place for status and sentence. */
export const PROBLEMS = {
  invalidInput: { status: 400, sentence: 'Something in what was sent cannot be used.' },
  unknownPerson: { status: 401, sentence: 'Nobody of that name works here. Choose who you are first.' },
  unknownMachine: { status: 422, sentence: 'This machine is not on record. Take it in first.' },
  unknownModel: { status: 422, sentence: 'This machine model is not on record.' },
  unknownJob: { status: 404, sentence: 'There is no such job in this shop.' },
  unknownFamily: { status: 422, sentence: 'The app does not know this machine family.' },
  familyShips: { status: 409, sentence: 'A family of that id ships with the app. Give yours an id of its own.' },
  familyInUse: { status: 409, sentence: 'A job on record needs what the new file no longer has.' },
  noInstrument: { status: 409, sentence: 'No instrument is connected for this machine. Type in what you read.' },
  instrumentLost: { status: 503, sentence: 'The instrument does not answer. Look at its plug and try again, or type in what you read.' },
  ledgerOpen: {
    status: 422,
    sentence: 'Something that came off is not back. Put it back, write it down as replaced, or say why the job is closed all the same.',
  },
  secondCheckMissing: {
    status: 422,
    sentence: 'This job is safety-critical: somebody who had no hand in it must look it over before it can be closed.',
  },
  partsKnown: { status: 409, sentence: 'Some of these part numbers are in the catalogue already. Say whether to replace or to skip them.' },
  importBroken: { status: 500, sentence: 'The list could not be taken in. Nothing of it was kept.' },
  importCut: { status: 500, sentence: 'The server was stopped while the list came in. Nothing of it was kept.' },
  notFound: { status: 404, sentence: 'There is nothing here.' },
  photoTooLarge: {
    status: 413,
    sentence: 'This photo is larger than 10 MB. Take it again at a smaller size; what you recorded so far is kept.',
  },
  photoWrongType: { status: 415, sentence: 'Only PNG and JPEG photos can be kept.' },
  photoBroken: { status: 422, sentence: 'This photo is damaged and cannot be read. Take it again.' },
  bodyTooLarge: { status: 413, sentence: 'That is too much at once. Send it in smaller pieces.' },
  tooMany: { status: 429, sentence: 'Too many requests from here in one minute. Wait a moment.' },
  databaseAway: {
    status: 503,
    sentence: 'The shop record is not answering. What you recorded is kept on this device and will be sent when it is back.',
  },
  broken: { status: 500, sentence: 'Something went wrong on our side. What you recorded is kept on this device.' },
} as const;
export type ProblemCode = keyof typeof PROBLEMS;

/** A refusal of the server. The sentence defaults to the registry's. */
export class ServerProblem extends Error {
  readonly code: ProblemCode;
  readonly path: string | undefined;
  constructor(code: ProblemCode, detail: { readonly path?: string | undefined; readonly sentence?: string | undefined } = {}) {
    super(detail.sentence ?? PROBLEMS[code].sentence);
    this.name = 'ServerProblem';
    this.code = code;
    this.path = detail.path;
  }
}

export const isProblem = (error: unknown): error is ServerProblem => error instanceof ServerProblem;
