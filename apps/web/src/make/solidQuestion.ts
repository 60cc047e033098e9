import { plain, type OperationInput } from '@patient-badger/core';
import type { GearCard, Pack } from '@patient-badger/core/machine';
import type { PartAttributes, ToothFacts } from '@patient-badger/core/parts';
import { typedNumber } from '../design/typedNumber.ts';
import { boreAndAllowance, NO_GEAR, type MakeInput, type TypedGear } from './makeQuestion.ts';

/** Kinds that are no straight gear, each with its own figures. */
export const SOLID_KINDS = ['worm', 'wormWheel', 'bevel', 'rack'] as const;
export type SolidKind = (typeof SOLID_KINDS)[number];

/** What is typed of a worm, its wheel, a bevel or a rack, as typed; bore, process and allowances as of every gear. */
export interface TypedSolid extends Omit<TypedGear, 'helixAngleDeg' | 'profileShift' | 'teeth'> {
  readonly starts: string;
  readonly wormDiameterMm: string;
  readonly profile: 'ZA' | 'ZN' | 'ZI';
  readonly hand: 'right' | 'left';
  readonly lengthMm: string;
  readonly wheelTeeth: string;
  readonly form: 'throated' | 'straight';
  readonly pinionTeeth: string;
  readonly member: 'pinion' | 'wheel';
  readonly shaftAngleDeg: string;
  /** Of a rack, behind its roots. */
  readonly backMm: string;
}

export const NO_SOLID: TypedSolid = {
  ...NO_GEAR,
  starts: '',
  wormDiameterMm: '',
  profile: 'ZI',
  hand: 'right',
  lengthMm: '',
  wheelTeeth: '',
  form: 'straight',
  pinionTeeth: '',
  member: 'wheel',
  shaftAngleDeg: '90',
  backMm: '',
};

type Part = NonNullable<OperationInput<'make.file'>['part']>;

const positive = (...figures: readonly number[]) => figures.every((figure) => figure > 0);

/** The worm as it is typed; null while its threads are not known. */
function wormOf(typed: TypedSolid) {
  const [starts, axialModuleMm, pitchDiameterMm] = [typed.starts, typed.moduleMm, typed.wormDiameterMm].map(typedNumber) as [
    number,
    number,
    number,
  ];
  if (!positive(starts, axialModuleMm, pitchDiameterMm)) return null;
  const { profile, hand } = typed;
  return { starts, axialModuleMm, pitchDiameterMm, profile, hand, normalPressureAngleDeg: typedNumber(typed.pressureAngleDeg) || 20 };
}

const wormPart = (typed: TypedSolid): Part | null => {
  const [worm, lengthMm] = [wormOf(typed), typedNumber(typed.lengthMm)];
  return worm && positive(lengthMm) ? { kind: 'worm', ...worm, lengthMm } : null;
};

const wheelPart = (typed: TypedSolid): Part | null => {
  const [worm, wheelTeeth, faceWidthMm] = [wormOf(typed), typedNumber(typed.wheelTeeth), typedNumber(typed.faceMm)];
  if (!worm || !positive(wheelTeeth, faceWidthMm)) return null;
  return {
    kind: 'wormWheel',
    worm,
    wheelTeeth,
    faceWidthMm,
    form: typed.form,
    backlashMm: Math.max(0, typedNumber(typed.backlashMm) || 0),
  };
};

const bevelPart = (typed: TypedSolid, member: TypedSolid['member']): Part | null => {
  const [pinionTeeth, wheelTeeth, outerModuleMm, faceWidthMm] = [typed.pinionTeeth, typed.wheelTeeth, typed.moduleMm, typed.faceMm].map(
    typedNumber,
  ) as [number, number, number, number];
  if (!positive(pinionTeeth, wheelTeeth, outerModuleMm, faceWidthMm)) return null;
  return {
    kind: 'bevel',
    member,
    pinionTeeth,
    wheelTeeth,
    outerModuleMm,
    faceWidthMm,
    shaftAngleDeg: typedNumber(typed.shaftAngleDeg) || 90,
    pressureAngleDeg: typedNumber(typed.pressureAngleDeg) || 20,
    // What is wanted between the two is shared by them.
    toothThinningMm: Math.max(0, typedNumber(typed.backlashMm) || 0) / 2,
  };
};

const rackPart = (typed: TypedSolid): Part | null => {
  const [teeth, normalModuleMm, faceWidthMm, backMm] = [typed.wheelTeeth, typed.moduleMm, typed.faceMm, typed.backMm].map(typedNumber) as [
    number,
    number,
    number,
    number,
  ];
  if (!positive(teeth, normalModuleMm, faceWidthMm, backMm)) return null;
  const toothThinningMm = Math.max(0, typedNumber(typed.backlashMm) || 0);
  return {
    kind: 'rack',
    teeth,
    normalModuleMm,
    faceWidthMm,
    backMm,
    toothThinningMm,
    pressureAngleDeg: typedNumber(typed.pressureAngleDeg) || 20,
  };
};

/** The gear that is made, and the pair that it is one of; null for what is not known yet. */
export function solidParts(
  kind: SolidKind,
  typed: TypedSolid,
): { readonly part: Part | null; readonly pair: readonly [Part, Part] | null } {
  const both = (a: Part | null, b: Part | null) => (a && b ? ([a, b] as const) : null);
  if (kind === 'rack') return { part: rackPart(typed), pair: null };
  if (kind === 'bevel') {
    return { part: bevelPart(typed, typed.member), pair: both(bevelPart(typed, 'pinion'), bevelPart(typed, 'wheel')) };
  }
  // How long the worm is changes nothing where it bears on its wheel.
  const worm = wormPart(typed) ?? wormPart({ ...typed, lengthMm: String(6 * (typedNumber(typed.moduleMm) || 0)) });
  const wheel = wheelPart(typed);
  return { part: kind === 'worm' ? wormPart(typed) : wheel, pair: both(worm, wheel) };
}

/** A worm wheel's tooth as it is typed, of the module along its worm. */
export function toothOf({ wheelTeeth, moduleMm, faceMm, material }: TypedSolid): ToothFacts {
  const figure = (typed: string) => (typedNumber(typed) > 0 ? typedNumber(typed) : undefined);
  return { teeth: figure(wheelTeeth), normalModuleMm: figure(moduleMm), faceWidthMm: figure(faceMm), material };
}

/** The gear as `make.file` takes it; null while it is not known. */
export function solidQuestion(kind: SolidKind, typed: TypedSolid): MakeInput | null {
  const { part } = solidParts(kind, typed);
  const { bore, allowance } = boreAndAllowance(typed);
  if (kind === 'rack') return part && { part, bore: { shape: 'none' }, allowance };
  // No tool follows the outline of a body.
  return part && { part, bore, allowance: { ...allowance, kerfMm: 0 } };
}

const text = (value: number | undefined, places: number) => (value === undefined ? undefined : String(Number(value.toFixed(places))));

interface Known {
  readonly pack: Pack;
  readonly card: GearCard;
  /** What its readings say of it, and what those of the worm that drives it say of the worm. */
  readonly own: PartAttributes | undefined;
  readonly worm: PartAttributes | undefined;
}

/** What is known of the gear and its mate, as the form has it: by readings, else by the family's own counts. */
export function knownOfSolid({ pack, card, own, worm }: Known): Partial<TypedSolid> {
  const joint = pack.driveline.joints.find(
    (each) => Object.values(each).includes(card.body) && (each.type === 'worm' || each.type === 'bevel'),
  );
  const thread = worm ?? (card.type === 'worm' ? own : undefined);
  const counts =
    joint?.type === 'bevel'
      ? {
          pinionTeeth: String(Math.min(joint.teethA, joint.teethB)),
          wheelTeeth: String(Math.max(joint.teethA, joint.teethB)),
          member: (joint.a === card.body) === joint.teethA < joint.teethB ? ('pinion' as const) : ('wheel' as const),
        }
      : joint?.type === 'worm' && {
          starts: String(thread?.starts ?? joint.starts),
          wheelTeeth: String(card.type === 'wormWheel' ? (own?.teeth ?? joint.teeth) : joint.teeth),
        };
  const known = {
    ...counts,
    ...(card.type === 'rack' && { wheelTeeth: own?.teeth === undefined ? undefined : String(own.teeth) }),
    moduleMm: text(plain(thread?.axialModuleMm ?? own?.axialModuleMm ?? own?.normalModuleMm), 4),
    wormDiameterMm: text(plain(thread?.pitchDiameterMm), 3),
    hand: thread?.hand ?? own?.hand,
    faceMm: text(plain(own?.faceWidthMm), 2),
    lengthMm: card.type === 'worm' ? text(plain(own?.faceWidthMm ?? own?.lengthMm), 2) : undefined,
    boreMm: text(plain(own?.boreDiameterMm), 2),
  };
  return Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined));
}
