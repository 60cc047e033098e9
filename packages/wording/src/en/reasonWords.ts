import { PASSPHRASE_LEAST } from '@patient-badger/contract';
import type { FailureDetail, FailureReason } from '@patient-badger/core';

const fixed = (value: unknown, places: number): string => Number(value).toFixed(places);

/** Why something is refused, in a mechanic's words. */
export const REASON_WORDS: Readonly<Record<FailureReason, (detail: FailureDetail) => string>> = {
  sharesNotOne: ({ id, given }) => `The shares of "${id}" must add up to 1, not ${given}.`,
  faultNotAtJoint: ({ id }) => `"${id}" shows in the motion, so it must sit at a joint.`,
  driveOfOtherKind: ({ body, wanted }) =>
    `"${body}" ${wanted === 'turns' ? 'turns: give its turns' : 'slides: give its travel in mm'}, and only that.`,
  chancesNotOne: ({ id, results }) => `"${id}" has ${results} results: give ${results} chances that add up to 1.`,
  laterWithoutDays: ({ id }) => `"${id}": a proof that is looked at later says after how many days, and only such a one.`,
  limitsCrossed: ({ id }) => `"${id}": the least allowed is more than the most.`,
  notDrawn: ({ id }) => `"${id}" is on no line of the drawing: put it into order or into a branch.`,
  limitsBetweenResults: ({ id, results }) =>
    `"${id}" has ${results} results: give ${Number(results) - 1} limits between them, from small to large.`,
  cautionForbids: ({ id, given, state }) =>
    `The caution "${given}" forbids "${state}", which the look "${id}" needs: one of them is wrong.`,
  needsWhatItEnds: ({ id, state }) => `The steps before the look "${id}" end what it needs (${state}): it could never be taken.`,
  givenBackUnclear: ({ id, given, state }) =>
    `"${id}" gives "${state}" back, and "${given}" ends it: let one of the two steps need the other, so that it is clear which comes last.`,
  stepNeedsItself: ({ id, circle }) => `The step "${id}" needs itself: ${circle}.`,
  notOfThisJoint: ({ id, type }) => `The joint "${id}" (${type}) does not have that.`,
  notForModels: () => 'The model changes what it cannot change.',
  tiedToItself: ({ id, body }) => `The joint "${id}" ties "${body}" to itself.`,
  drivenAndHeld: ({ id }) => `"${id}" cannot be driven and held at once.`,
  mustBeSlider: ({ id }) => `"${id}" must be a slider here: it travels.`,
  mustBeRotor: ({ id }) => `"${id}" must be a rotor here: it turns.`,
  textBroken: () => 'There is a sign in this text that cannot be kept. Type it again.',
  shaftThickerThanBore: () => 'The shaft measures thicker than the bore it sits in: measure both again.',
  noHoleNoShaft: () => 'Give a hole like H7, a shaft like k6, or measure both bore and shaft.',
  noSuchTolerance: ({ code, field, firstLetter, lastLetter, firstGrade, lastGrade }) =>
    `“${code}” is no ${field} that is known here. Write it like ${field === 'hole' ? 'H7' : 'k6'}: letters ${firstLetter} to ${lastLetter}, grades ${firstGrade} to ${lastGrade}.`,
  noPairFitsHousing: () => 'None of these pairs goes into this housing.',
  kmOrMile: () => 'Give the turns per km or per mile, not both.',
  noPairAtCentreDistance: () => 'No two of these gears come out at that centre distance.',
  noTyreSize: ({ given }) =>
    `“${given}” is no tyre size known here. Write it as it stands on the tyre: 185/65R14, 90/90-18, 31x10.5R15, 6.00-16, G78-14, 37-622, 26x2.1 or 4.10/3.50-4. Or roll it on the floor.`,
  sizeOrFigure: () => 'Give the size that is printed on it, the maker’s figure, or what it rolled.',
  nothingTurned: () => 'Nothing turned there: count at least a part of a turn.',
  fewestFirst: () => 'The fewest teeth come first, then the most.',
  odometerNeverBack: () => 'An odometer is only ever brought forward, by what it missed. Turning one back is not done here.',
  odometerRunsOver: () => 'The drums would run over all their nines: the figures cannot be right.',
  odometerForwardOnly: () => 'An odometer is only ever brought forward, by the distance that it missed.',
  threadsTooDeep: ({ field, module, least }) =>
    `The threads would be cut deeper than the worm is thick: at module ${module} its ${field === 'diameterQuotient' ? 'quotient' : 'pitch diameter'} must be more than ${field === 'diameterQuotient' ? least : `${fixed(least, 2)} mm`}.`,
  wheelWithoutBody: () => 'A wheel with so few teeth has no body left below its roots.',
  diameterAgainstQuotient: ({ diameterMm, module, quotient, given }) =>
    `A pitch diameter of ${diameterMm} mm at module ${module} is a quotient of ${fixed(quotient, 3)}, not ${given}. Give one of the two.`,
  measureThroatFirst: () => 'Measure the wheel in its throat, over the tips, first.',
  measureWormFirst: () => 'Measure at least one dimension of the worm first.',
  rootAsThickAsTips: () => 'The root cannot be as thick as the tips: measure both again.',
  measureGearFirst: () => 'Measure at least one dimension of the gear first.',
  arcTooUncertain: ({ arcDeg }) => `An arc of ${arcDeg}° with so wide a ± could be any: measure over more teeth, or more closely.`,
  longerSpanLess: ({ teeth, fewer }) => `Over ${teeth} teeth it cannot be less than over ${fewer}: measure both again.`,
  baseCirclesOverlap: ({ leastMm }) => `So close the base circles overlap: the shafts must stand more than ${fixed(leastMm, 2)} mm apart.`,
  teethNeverMeet: () => 'Both gears are shifted so far in that their teeth never meet.',
  notTheseTips: ({ drawnMm, rootMm, given }) =>
    `The tips of this gear are ${fixed(drawnMm, 2)} mm when new, its roots ${fixed(rootMm, 2)}. You read ${given}: measure again, or it is another gear.`,
  notThisThickness: ({ thinnerMm }) =>
    Number(thinnerMm) < 0
      ? `So read, the teeth are ${fixed(Math.abs(Number(thinnerMm)), 2)} mm thicker than new. Count the teeth between the jaws again, or it is another gear.`
      : `So read, ${fixed(thinnerMm, 2)} mm are worn off each tooth, more than it has. Count the teeth between the jaws again, or it is another gear.`,
  noGearOverPins: () => 'No gear of this kind gives that over these pins: measure again.',
  measureSpanFirst: () => 'Measure a span or over pins first: the tips alone do not tell how thin the teeth are.',
  pinsSink: ({ pinMm }) => `Pins of ${pinMm} mm sink to the root of these spaces: take thicker ones.`,
  nothingBelowRoots: () => 'With so few teeth nothing is left below the roots.',
  tipsBelowBase: () => 'Shifted so far in, the tips lie below the base circle: there is no involute left.',
  yearsAreOneAYear: () => 'A use counted in years is one a year.',
  dueBeyondCalendar: () => 'So seldom used, it never comes due: give a number of days as well.',
  teethCross: () => 'Cut like this, the flanks of a tooth cross each other: more teeth, more shift or a smaller pressure angle.',
  pinLeavesNoShaft: ({ mostMm }) => `The pin must be thinner than the shaft it crosses: ${mostMm} mm.`,
  threadBarelyEngaged: ({ leastMm }) => `Half a pitch or less of the thread holds nothing: more than ${leastMm} mm must be engaged.`,
  drivenInCircle: () => 'These joints drive each other in a circle: nothing in it can turn.',
  noToothLeft: () => 'Thinned so far, no tooth is left at the pitch circle.',
  pitchAgainstModule: ({ diametralPitch, module, given }) =>
    `${diametralPitch} DP is module ${fixed(module, 4)}, not ${given}. Give one of the two.`,
  workedThicker: ({ workedMm, freshMm }) =>
    `Where it has worked it reads ${fixed(workedMm, 2)} mm, where it has not ${fixed(freshMm, 2)} mm: teeth do not grow thicker. Read both once more, alike deep.`,
  measureBothFirst: () => 'Measure something of both gears first.',
  shaftsPassEachOther: ({ given }) =>
    `The shafts pass each other by ${given} mm: this is a hypoid pair and no bevel. Its teeth are made in pairs by one maker’s machine; look for the pair by its part number.`,
  measureLargeEndFirst: () => 'Measure over the tips at the large end of one of the two first.',
  faceLongerThanCone: ({ coneMm }) => `The cone is only ${fixed(coneMm, 2)} mm long: the face cannot be wider than that.`,
  noStraightBevel: () =>
    'At this shaft angle one of the two would be a crown gear or toothed inside: straight bevels of these counts cannot be cut for it.',
  measureRackFirst: () => 'Measure along the rack over several teeth first.',
  hubWithoutWall: ({ leastMm }) => `The hub must be thicker than its shaft of ${leastMm} mm: measure across the hub.`,
  shaftAllBore: ({ mostMm }) => `The hole in the shaft cannot be as wide as the shaft of ${mostMm} mm.`,
  interferenceOrTorque: () => 'Give the interference or the torque it has to carry, not both.',
  rangeBackwards: () => 'The lower limit is above the upper one.',
  boreThroughRoots: ({ mostMm }) => `This bore reaches the roots of the teeth: it must be well below ${fixed(mostMm, 2)} mm.`,
  safetyCriticalNotMade: ({ name }) =>
    `${name}: somebody could be hurt. A shop-made gear is never offered for it; the maker’s part, or licensed work.`,
  safetyCriticalNotSaved: ({ name }) => `${name}: somebody could be hurt. A part of it is replaced by the maker’s, not saved.`,
  moreTrials: ({ given, least }) => `Turn the sleeve and read again: ${given} places are too few, it wants ${least}.`,
  trialsAgainstEccentricity: () => 'No sleeve of that eccentricity shows these two readings: read them again, or take a third.',
  oneSpeed: () => 'All these are of one speed: drive at another one too.',
  noInterval: () => 'Say every how many days, hours or km.',
  resultsNotOne: ({ given, sum }) => `For “${given}” the chances of this look’s results add up to ${fixed(sum, 2)}, not to 1.`,
  noSuspectLikely: () => 'None of these suspects is likely at all.',
  pitchOrThreads: () => 'Give the pitch or the threads per inch, not both.',
  measureScrewFirst: () => 'Measure along the screw over several threads first.',
  sectorCountedBack: ({ from, to }) => `On a sector teeth are counted from one end: ${to} comes before ${from}.`,
  nothingWanted: () => 'Say at least one thing the wanted gear must be.',
  nothingKnownOfPart: () => 'Nothing is known of this part.',
  orderSaysNothing: () => 'The order says nothing of the part: compare it with the old gear.',
  pixelsMissing: ({ width, height, given }) =>
    `A picture of ${width} by ${height} has ${4 * Number(width) * Number(height)} values, not ${given}.`,
  noMachineName: () => 'Give the machine a name you will know it by.',
  notDate: () => 'Give the day as year-month-day.',
  noMeterFigure: () => 'A meter shows a figure from 0 to 10,000,000.',
  noMeterReading: () => 'Give hours or a distance.',
  noMaker: () => 'Say who made it.',
  noModelCode: () => 'Give the model as its plate has it.',
  noFamily: () => 'Say what kind of chain it has.',
  noSource: () => 'Say where it comes from.',
  noChange: () => 'Say what to change.',
  noName: () => 'Give a name.',
  noShopName: () => 'Give the shop a name.',
  notCurrency: () => 'A currency is three letters, such as EUR.',
  noPassphrase: () => 'Give your passphrase.',
  passphraseShort: () => `A passphrase has at least ${PASSPHRASE_LEAST} letters: a few words that belong to nobody else.`,
  notPin: () => 'A PIN has four to eight figures.',
  noItemName: () => 'Say what it is.',
  noOrigin: () => 'Say what it came from.',
  noPlace: () => 'Say where it lies.',
  notId: () => 'Ids are small letters, digits and single hyphens.',
  clockUnset: () => 'That day is outside of any calendar of the shop: set the clock of this device.',
  notPractice: () => 'A practice machine has a name like saw-oil-pump.2.17.',
  notPixels: () => 'The pixels of a picture are four bytes each.',
};
