import { fail } from '../failure/CoreFailure.ts';
import { MOST_CONTACTS, type Body, type Driveline, type MotionInput } from './schema.ts';

/** Refuses a driveline that names a body or joint twice, or a body that is not there. */
export function checkDriveline(driveline: Driveline, path = 'driveline'): void {
  const kinds = new Map<string, Body['kind']>();
  driveline.bodies.forEach((body, i) => {
    if (kinds.has(body.id)) throw fail('duplicateId', `${path}.bodies.${i}.id`, { given: body.id });
    kinds.set(body.id, body.kind);
  });
  for (const type of ['oneWay', 'differential'] as const) {
    if (driveline.joints.filter((joint) => joint.type === type).length > MOST_CONTACTS) {
      throw fail('tooMany', `${path}.joints`, { maximum: MOST_CONTACTS, given: type });
    }
  }
  const joints = new Set<string>();
  driveline.joints.forEach((joint, i) => {
    const here = `${path}.joints.${i}`;
    if (joints.has(joint.id)) throw fail('duplicateId', `${here}.id`, { given: joint.id });
    joints.add(joint.id);
    const seen = new Set<string>();
    for (const [field, value] of Object.entries(joint)) {
      if (!BODY_FIELDS.has(field)) continue;
      const kind = kinds.get(value as string);
      if (kind === undefined) throw fail('unknownId', `${here}.${field}`, { given: String(value) });
      if (seen.has(value as string)) {
        throw fail('contradiction', `${here}.${field}`, { reason: 'tiedToItself', id: joint.id, body: String(value) });
      }
      seen.add(value as string);
      checkKind(joint.type, { field, kind, path: `${here}.${field}`, id: String(value) });
    }
  });
}

/** Refuses a motion question that names what the driveline does not have. */
export function checkMotion(input: MotionInput): void {
  checkDriveline(input.driveline);
  const { bodies, joints } = input.driveline;
  const known = new Map(bodies.map((body) => [body.id, body]));
  const list = bodies.map((body) => body.id).join(', ');
  const need = (id: string, path: string) => {
    const found = known.get(id);
    if (!found) throw fail('unknownId', path, { given: id, known: list });
    return found;
  };
  const driven = new Set<string>();
  input.drive.forEach((drive, i) => {
    const found = need(drive.body, `drive.${i}.body`);
    if (driven.has(drive.body)) throw fail('duplicateId', `drive.${i}.body`, { given: drive.body });
    driven.add(drive.body);
    const [right, wrong] = found.kind === 'slider' ? (['travelMm', 'turns'] as const) : (['turns', 'travelMm'] as const);
    if (drive[wrong] !== undefined) {
      throw fail('contradiction', `drive.${i}.${wrong}`, { reason: 'driveOfOtherKind', body: drive.body, wanted: right });
    }
    if (drive[right] === undefined) throw fail('missing', `drive.${i}.${right}`);
  });
  input.held.forEach((id, i) => {
    need(id, `held.${i}`);
    if (driven.has(id)) throw fail('contradiction', `held.${i}`, { reason: 'drivenAndHeld', id });
  });
  input.faults.forEach((fault, i) => {
    if (!joints.some((joint) => joint.id === fault.joint)) {
      throw fail('unknownId', `faults.${i}.joint`, { given: fault.joint, known: joints.map(({ id }) => id).join(', ') });
    }
  });
  if (input.watch !== undefined) need(input.watch, 'watch');
}

const BODY_FIELDS = new Set(['a', 'b', 'worm', 'wheel', 'pinion', 'rack', 'nut', 'screw', 'driver', 'driven', 'case', 'left', 'right']);
/** Seats join like to like, so either kind will do; every other joint says what it moves. */
const SLIDERS = new Set(['rack.rack', 'screw.nut']);
interface CheckKindOptions {
  readonly field: string;
  readonly kind: Body['kind'];
  readonly path: string;
  readonly id: string;
}

function checkKind(type: string, { field, kind, path, id }: CheckKindOptions): void {
  if (type === 'seat' || type === 'oneWay') return;
  const wanted = SLIDERS.has(`${type}.${field}`) ? 'slider' : 'rotor';
  if (kind !== wanted) {
    throw fail('contradiction', path, { reason: wanted === 'slider' ? 'mustBeSlider' : 'mustBeRotor', id });
  }
}
