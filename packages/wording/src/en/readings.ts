import type { OperationOutput } from '@patient-badger/core';
import { catalogue } from '../catalogue.ts';

type NextMeasurement = NonNullable<OperationOutput<'gear.worm.identify'>['nextMeasurement']>;
type ReadingMethod = NextMeasurement['how'];

/** How a reading is taken; over so many teeth, threads, lines or turns where it goes over several. */
export const METHODS = catalogue({
  spanOverTeeth: (over: number) => `Flat jaws of the caliper over ${over} teeth, rocked to the shortest reading.`,
  spanElsewhere: (over: number) => `The same over ${over} teeth once more, at another place of the rim.`,
  acrossFace: 'Caliper across the gear, from face to face: which spans can be taken off slanting teeth depends on it.',
  overTips: 'Caliper over the tips, two opposite teeth; with an odd count turn it to the largest reading.',
  inOppositeSpaces: 'Knife edges of the caliper in two opposite spaces.',
  countStarts: 'Look at the end of the worm and count where threads begin.',
  alongWorm: (over: number) => `Measure along the worm over ${over} thread pitches, same side of the thread to same side.`,
  overThreadTips: 'Close the caliper over the thread tips, flat jaws across two tips.',
  inThread: 'Measure in the bottom of the thread with the knife edges of the caliper.',
  rollWorm: 'Roll the inked worm on paper along a straight edge and measure the angle of the lines.',
  overThroat: 'Over two opposite teeth in the middle of the throat, where they are lowest; with an odd count the largest reading.',
  rollWheel: (over: number) =>
    `Roll the inked wheel on paper and measure over ${over} lines: the circumference of the tips over the teeth.`,
  depthInThroat: 'Depth rod of the caliper from a tip into the space beside it, in the throat.',
  betweenCentres: 'Middle of the worm to middle of the wheel, in the housing.',
  overPinionTips: 'Caliper over two opposite teeth of the pinion, at its large end.',
  overWheelTips: 'Caliper over two opposite teeth of the wheel, at its large end.',
  alongCone: 'Lay a straight edge along a tooth to where the axes meet, and measure to its large end.',
  depthAtLargeEnd: 'Depth rod of the caliper from a tip into the space beside it, at the large end.',
  coneAngle: 'Protractor on the pinion’s cone against its shaft.',
  alongRack: (over: number) => `Measure along the rack over ${over} teeth, same flank to same flank.`,
  depthFromTip: 'Measure from the tip of a tooth into the space beside it, with the depth rod of the caliper.',
  flankAngle: 'Lay a protractor on a flank, against the line of the tips: how far it leans from upright.',
  rackTravel: 'Turn the pinion once and measure how far the rack went.',
  alongScrew: (over: number) => `Measure along the screw over ${over} threads, crest to crest.`,
  nutTravel: (over: number) => `Turn the screw ${over} times and measure how far the nut went.`,
  countScrewStarts: 'Look at the end of the screw and count where threads begin.',
} satisfies Record<ReadingMethod, string | ((over: number) => string)>);

/** How the next reading is taken, in a sentence. */
export function methodSentence({ how, over = 0 }: Pick<NextMeasurement, 'how' | 'over'>): string {
  const words = METHODS[how];
  return typeof words === 'string' ? words : words(over);
}
