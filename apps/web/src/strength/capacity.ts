import { MATERIALS, SHEAR_OF_YIELD, type MaterialId } from '@patient-badger/core';
import type { Driveline } from '@patient-badger/core/machine';
import { runOperation } from '../data/runOperation.ts';
import { typedNumber, typedNumbers } from '../design/typedNumber.ts';

type Joint = Driveline['joints'][number];

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

/**
 * The torque that a link bears at its driven body, N·m: typed, or worked out from what was measured of it and its material, statically.
 * Null while too little is known.
 */
export function capacityOf(joint: Joint, typed: TypedLink): number | null {
  const given = typedNumber(typed.capacity);
  if (typed.capacity.trim() !== '' && given > 0) return given;
  const [module, face, pin, shaft] = typedNumbers(typed.moduleMm, typed.faceMm, typed.pinMm, typed.shaftMm);
  const [wall, interference, outer, length] = typedNumbers(typed.wallMm, typed.interferenceMm, typed.outerMm, typed.lengthMm);
  const tooth = (teeth: number, normalModuleMm: number, driverTeeth?: number): number | null => {
    if (!(normalModuleMm > 0 && face > 0) || teeth < 4) return null;
    const gear = { teeth, normalModuleMm, faceWidthMm: face, material: typed.material };
    const mate = typed.mate && driverTeeth !== undefined && driverTeeth >= 4 ? { teeth: driverTeeth, material: typed.mate } : undefined;
    const worked = runOperation('strength.tooth', { gear, torqueNm: 1, ...(mate && { mate }) });
    // What breaks first of the two; a surface that yields is wear.
    return worked.ok ? (worked.output.pair?.breaksAtNm ?? worked.output.torqueCapacityNm) : null;
  };
  switch (joint.type) {
    case 'mesh':
      return tooth(joint.teethB, module, joint.teethA);
    case 'bevel':
      return tooth(joint.teethB, module);
    case 'worm':
      return tooth(joint.teeth, module);
    case 'rack':
      return tooth(joint.teeth, joint.moduleMm);
    case 'seat': {
      if (joint.by === 'pin' && pin > 0 && shaft > 0 && wall > 0) {
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
        return worked.ok ? worked.output.torqueCapacityNm : null;
      }
      if (joint.by !== 'pressFit' || !(shaft > 0 && outer > shaft && length > 0 && interference > 0)) return null;
      const worked = runOperation('fit.press', {
        shaft: { diameterMm: shaft, material: 'steel' },
        hub: { outerDiameterMm: outer, lengthMm: length, material: typed.material },
        interferenceMm: interference,
      });
      return worked.ok ? worked.output.torqueNm : null;
    }
    default:
      return null;
  }
}
