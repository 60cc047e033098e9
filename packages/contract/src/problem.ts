import { z } from 'zod';

/** Every refusal that the server can give of its own; those of the core come with the core's codes. */
export const PROBLEM_CODES = [
  'invalidInput',
  'unknownPerson',
  'signInFirst',
  'wrongPassphrase',
  'wrongPin',
  'pinSpent',
  'pinLocked',
  'lockedOut',
  'weakPassphrase',
  'weakPin',
  'nameTaken',
  'wrongCode',
  'shopThere',
  'confirmWho',
  'ownersOnly',
  'lastOwner',
  'otherOrigin',
  'unknownMachine',
  'unknownModel',
  'modelTaken',
  'modelInUse',
  'otherMachine',
  'bookBroken',
  'unknownJob',
  'unknownFamily',
  'otherFamily',
  'familyShips',
  'familyInUse',
  'familyCanHurt',
  'makeNeedsFamily',
  'noInstrument',
  'instrumentLost',
  'ledgerOpen',
  'secondCheckMissing',
  'handInIt',
  'notVouched',
  'unsigned',
  'lookOverMissing',
  'unproved',
  'unset',
  'unfitted',
  'notForApprentices',
  'notAlone',
  'notYourEntry',
  'cannotBeKept',
  'partsKnown',
  'anotherGear',
  'rowTooLong',
  'importBroken',
  'importCut',
  'importBusy',
  'uploadElsewhere',
  'exportBusy',
  'newerDatabase',
  'notFound',
  'photoTooLarge',
  'photoWrongType',
  'photoBroken',
  'photoTooManyPixels',
  'photoBusy',
  'photoLate',
  'operationBusy',
  'operationLate',
  'recordReadOnly',
  'diskFull',
  'diskLow',
  'backupFailed',
  'clockOff',
  'bodyTooLarge',
  'tooMany',
  'databaseAway',
  'broken',
] as const;
export type ProblemCode = (typeof PROBLEM_CODES)[number];

/** Every refusal on the wire: a code for programs, a path to the field, a sentence for people. */
export const problem = z.object({ code: z.string(), path: z.string().optional(), sentence: z.string() }).meta({ id: 'Problem' });
export type Problem = z.infer<typeof problem>;

/** Who wrote what is sent: somebody who has shown on this device that it is them. Without it, whoever has the device now. */
export const PERSON_HEADER = 'x-person';

/** Whether the server can take notes in, and what else is wrong with it; code and sentence of what stops everything at the top. */
export const health = z
  .object({
    well: z.boolean(),
    problems: z.array(problem).optional(),
    code: z.string().optional(),
    sentence: z.string().optional(),
  })
  .meta({ id: 'Health' });
export type Health = z.infer<typeof health>;
