import type { ProblemCode } from '@patient-badger/contract';

export type ProblemDetail = Readonly<Record<string, string | number>>;

/** What the server says where it refuses: one sentence a code. */
const PROBLEM_WORDS: Readonly<Record<ProblemCode, string>> = {
  invalidInput: 'Something in what was sent cannot be used.',
  unknownPerson: 'Nobody of that name works here.',
  signInFirst: 'This device is not signed in, or not any more. What you recorded is kept on it until somebody signs in.',
  wrongPassphrase: 'Name and passphrase do not belong together.',
  wrongPin: 'That is not the PIN.',
  pinSpent: 'Too many wrong PINs on this device. Use the passphrase instead.',
  pinLocked: 'Too many wrong PINs for this name today, on all devices together. The passphrase opens it; an owner has been told.',
  lockedOut: 'Too many wrong passphrases from here. Wait a few minutes; a device on which you signed in before is not held up.',
  weakPassphrase: 'This passphrase is easily guessed. Take a few words that have nothing to do with the shop or with each other.',
  weakPin: 'This PIN is the first that anybody would try. Take figures that neither repeat nor follow one another.',
  nameTaken: 'Somebody of that name is in the book already. Add something that tells them apart.',
  wrongCode: 'That is not the code that the start of the server has printed.',
  shopThere: 'There is a shop on this server already. Sign in.',
  confirmWho: 'Whoever wrote this has not given their PIN since the device changed hands. It is kept until they do.',
  ownersOnly: 'That is for an owner of the shop.',
  lastOwner: 'A shop needs an owner who is here. Make somebody else one first.',
  otherOrigin: 'This came from a page that is not this shop’s, and was not carried out.',
  unknownMachine: 'This machine is not on record. Take it in first.',
  unknownModel: 'This machine model is not on record.',
  modelTaken: 'A model of that maker and code is in the book already.',
  modelInUse: 'A job on record needs what the model would no longer have.',
  otherMachine: 'Two records become one only where both are of one family, and neither is the other.',
  bookBroken: 'This file is no model book that can be read.',
  unknownJob: 'There is no such job in this shop.',
  unknownFamily: 'The app does not know this machine family.',
  otherFamily: 'The machine is on record as another family than the job says.',
  familyShips: 'A family of that id ships with the app. Give yours an id of its own.',
  familyCanHurt: 'Somebody can be hurt by this chain while a job on it is open: it stays safety-critical.',
  makeNeedsFamily: 'Say what the gear is for: its machine family, or none where it is for no machine at all.',
  familyInUse: 'A job on record needs what the new file no longer has.',
  noInstrument: 'No instrument is connected for this machine. Type in what you read.',
  instrumentLost: 'The instrument does not answer. Look at its plug and try again, or type in what you read.',
  ledgerOpen: 'Something that came off is not back. Put it back, write it down as replaced, or say why the job is closed all the same.',
  secondCheckMissing: 'This job is safety-critical: somebody who had no hand in it must look it over before it can be closed.',
  handInIt: 'Whoever wrote anything of this machine in this job had a hand in it, taken back or not. Somebody else looks it over.',
  notVouched:
    'This person came, came back, or was given a passphrase by somebody else since this job began. Somebody who was here before looks it over.',
  unsigned: 'This wants your PIN at this moment. It is kept here until you give it.',
  lookOverMissing: 'What an apprentice closes is looked over by an owner or a mechanic first.',
  notForApprentices: 'A second check is signed by an owner or a mechanic.',
  notAlone: 'An outside checker is for where nobody else can. Somebody else here can look this over.',
  notYourEntry: 'This note is signed by somebody else than who sends it. Choose who you are, and write it again.',
  cannotBeKept: 'There is something in this note that the shop record cannot keep.',
  partsKnown: 'Some of these part numbers are in the catalogue already. Say whether to replace or to skip them.',
  anotherGear: 'A part number of this list stands for two different gears.',
  rowTooLong: 'A line of this list is longer than any part needs. Look for a quotation mark that is never closed.',
  importBroken: 'The list could not be taken in. Nothing of it was kept.',
  importCut: 'The server was stopped while the list came in. Nothing of it was kept.',
  importBusy: 'Other lists are on their way in just now. Send this one again in a moment.',
  uploadElsewhere: 'This piece does not follow what has come of the list. Ask how much there is, and go on from there.',
  exportBusy: 'Other shops are being written out just now. Ask again in a moment.',
  newerDatabase: 'The shop record was brought forward by a newer program than this one, which takes nothing in. Start the newer one.',
  notFound: 'There is nothing here.',
  photoTooLarge: 'This photo is larger than 10 MB. Take it again at a smaller size; what you recorded so far is kept.',
  photoWrongType: 'Only PNG and JPEG photos can be kept.',
  photoBroken: 'This photo is damaged and cannot be read. Take it again.',
  photoTooManyPixels: 'This photo has more than 25 million dots. Take it again at a smaller size; what you recorded so far is kept.',
  photoBusy: 'Other photos are being looked through just now. It is tried again by itself.',
  photoLate: 'Looking through this photo took too long. It is tried again by itself.',
  operationBusy: 'Other sums are being worked out just now. Ask again in a moment.',
  operationLate: 'This sum takes too long. Give fewer things, or closer figures.',
  recordReadOnly:
    'The shop record takes nothing in just now: its disk is full, or it is read-only. What you recorded is kept on this device.',
  diskFull: 'The disk of the shop server is full: it takes nothing in. What you recorded is kept on this device. Make room on it.',
  diskLow: 'The disk of the shop server is nearly full. Make room on it before it takes nothing in.',
  backupFailed: 'The last backup could not be made. Look at its folder: is it there, may it be written, is there room?',
  clockOff: 'The clock of the shop server is wrong. Set it: days of promises and proofs go by it.',
  bodyTooLarge: 'That is too much at once. Send it in smaller pieces.',
  tooMany: 'Too many requests from here in one minute. Wait a moment.',
  databaseAway: 'The shop record is not answering. What you recorded is kept on this device and will be sent when it is back.',
  broken: 'Something went wrong on our side. What you recorded is kept on this device.',
};

/** Codes that say more where more is known. */
const WITH_DETAIL: Readonly<Partial<Record<ProblemCode, (detail: ProblemDetail) => string>>> = {
  familyCanHurt: ({ given }) => `This is ${given} in other words, by which somebody can be hurt: it stays safety-critical.`,
  familyInUse: ({ given }) => `A job on record has "${given}", which the new file no longer has. Keep it, or give the family another id.`,
  modelInUse: ({ given }) => `A job on record has "${given}", which the model would no longer have.`,
  rowTooLong: ({ row }) => `Line ${row} of this list is longer than any part needs. Look for a quotation mark that is never closed.`,
  anotherGear: ({ partNumber, supplier }) =>
    `${partNumber} from ${supplier} is another gear than the one of that number: one number is one gear, whoever sells it. Compare the dimensions.`,
};

/** One sentence for a refusal of the server. @example problemSentence('notFound') // 'There is nothing here.' */
export const problemSentence = (code: ProblemCode, detail?: ProblemDetail): string =>
  (detail && WITH_DETAIL[code]?.(detail)) ?? PROBLEM_WORDS[code];
