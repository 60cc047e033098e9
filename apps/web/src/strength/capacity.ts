import { MATERIALS, SHEAR_OF_YIELD, type MaterialId } from '@patient-badger/core';
import type { Driveline } from '@patient-badger/core/machine';
import { runOperation } from '../data/runOperation.ts';
import { typedNumber, typedNumbers } from '../design/typedNumber.ts';

type Joint = Driveline['joints'][number];
/** Of fewer no tooth is reckoned. */
const FEWEST_TEETH = 4;

/** What is typed of one link, as it stands in its fields. */
export interface TypedLink {
  /** A capacity off a sheet or a trial; goes before what is worked out. */
  readonly capacity: string;
  readonly material: MaterialId;
  /** Of what the gear is that drives it; empty while nobody said. */
  readonly mate: MaterialId | '';
  readonly moduleMm: string;
  readonly faceMm: string;
  readonly pinMm: string;
  readonly shaftMm: string;
  readonly wallMm: string;
  readonly interferenceMm: string;
  readonly outerMm: string;
  readonly lengthMm: string;
}

export const NO_LINK: TypedLink = {
  capacity: '',
  material: 'steel',
  mate: '',
  moduleMm: '',
  faceMm: '',
  pinMm: '',
  shaftMm: '',
  wallMm: '',
  interferenceMm: '',
  outerMm: '',
  lengthMm: '',
};

export type LinkField = Exclude<keyof TypedLink, 'material' | 'mate'>;

/** What has to be measured of a joint for its capacity to be worked out; none where it is only typed. */
export function fieldsOf(joint: Joint): readonly LinkField[] {
  switch (joint.type) {
    case 'mesh':
    case 'bevel':
    case 'worm':
      return ['moduleMm', 'faceMm'];
    case 'rack':
      return ['faceMm'];
    case 'seat':
      if (joint.by === 'pin') return ['pinMm', 'shaftMm', 'wallMm'];
      return joint.by === 'pressFit' ? ['shaftMm', 'outerMm', 'lengthMm', 'interferenceMm'] : [];
    default:
      return [];
  }
}

/** What is known of how much a link bears, as torque at its driven body, N·m. */
export interface LinkStrength {
  readonly capacityNm: number;
  /** Where the gear's own tooth breaks. */
  readonly weakestAt?: 'foot' | 'tip';
  /** Of two gears which breaks first, and from when on a surface yields, which is wear. */
  readonly pair?: { readonly weaker: 'gear' | 'mate'; readonly wearsAtNm: number };
}

/** What a link bears, statically: typed, or worked out from what was measured of it and its material. Null while too little is known. */
export function linkStrength(joint: Joint, typed: TypedLink): LinkStrength | null {
  const given = typedNumber(typed.capacity);
  if (typed.capacity.trim() !== '' && given > 0) return { capacityNm: given };
  switch (joint.type) {
    case 'mesh':
      return toothOf(typed, { teeth: joint.teethB, driverTeeth: joint.teethA });
    case 'bevel':
      return toothOf(typed, { teeth: joint.teethB });
    case 'worm':
      return toothOf(typed, { teeth: joint.teeth });
    case 'rack':
      return toothOf(typed, { teeth: joint.teeth, moduleMm: joint.moduleMm });
    case 'seat':
      return seatOf(joint.by, typed);
    default:
      return null;
  }
}

interface Teeth {
  readonly teeth: number;
  readonly driverTeeth?: number;
  /** Where it is no field: the family says it. */
  readonly moduleMm?: number;
}

function toothOf(typed: TypedLink, { teeth, driverTeeth = 0, moduleMm }: Teeth): LinkStrength | null {
  const [module, face] = typedNumbers(typed.moduleMm, typed.faceMm);
  const normalModuleMm = moduleMm ?? module;
  if (!(normalModuleMm > 0 && face > 0) || teeth < FEWEST_TEETH) return null;
  const gear = { teeth, normalModuleMm, faceWidthMm: face, material: typed.material };
  const mate = typed.mate && driverTeeth >= FEWEST_TEETH ? { teeth: driverTeeth, material: typed.mate } : undefined;
  const worked = runOperation('strength.tooth', { gear, torqueNm: 1, ...(mate && { mate }) });
  if (!worked.ok) return null;
  const { pair, torqueCapacityNm, weakestAt } = worked.output;
  // What breaks first of the two; a surface that yields is wear.
  return { capacityNm: pair?.breaksAtNm ?? torqueCapacityNm, weakestAt, ...(pair && { pair }) };
}

function seatOf(by: Extract<Joint, { type: 'seat' }>['by'], typed: TypedLink): LinkStrength | null {
  const [pin, shaft, wall] = typedNumbers(typed.pinMm, typed.shaftMm, typed.wallMm);
  const [interference, outer, length] = typedNumbers(typed.interferenceMm, typed.outerMm, typed.lengthMm);
  if (by === 'pin' && pin > 0 && shaft > 0 && wall > 0) {
    const worked = runOperation('strength.pin', {
      pinDiameterMm: pin,
      shaftDiameterMm: shaft,
      wallMm: wall,
      torqueNm: 1,
      // A pin is steel unless somebody says otherwise.
      pinShearStrengthMPa: MATERIALS.steel.yieldMPa * SHEAR_OF_YIELD,
      // What a seat bears before it goes oval.
      seatBearingStrengthMPa: MATERIALS[typed.material].yieldMPa,
    });
    return worked.ok ? { capacityNm: worked.output.torqueCapacityNm } : null;
  }
  if (by !== 'pressFit' || !(shaft > 0 && outer > shaft && length > 0 && interference > 0)) return null;
  const worked = runOperation('fit.press', {
    shaft: { diameterMm: shaft, material: 'steel' },
    hub: { outerDiameterMm: outer, lengthMm: length, material: typed.material },
    interferenceMm: interference,
  });
  return worked.ok ? { capacityNm: worked.output.torqueNm } : null;
}

/** The torque that a link bears at its driven body, N·m; null while too little is known. */
export const capacityOf = (joint: Joint, typed: TypedLink): number | null => linkStrength(joint, typed)?.capacityNm ?? null;
