import type { Driveline } from '@patient-badger/core';

export type StationShape = 'driver' | 'drum' | 'arm' | 'worm' | 'wheel' | 'slider';

/** What to draw for a body: told by the joints it takes part in. */
export function stationShape(driveline: Driveline, id: string, first: boolean): StationShape {
  if (first) return 'driver';
  if (driveline.bodies.find((body) => body.id === id)?.kind === 'slider') return 'slider';
  const joints = driveline.joints;
  if (joints.some((joint) => joint.type === 'worm' && joint.worm === id)) return 'worm';
  const toothed = joints.some(
    (joint) =>
      (joint.type === 'worm' && joint.wheel === id) ||
      (joint.type === 'rack' && joint.pinion === id) ||
      ((joint.type === 'mesh' || joint.type === 'bevel') && (joint.a === id || joint.b === id)),
  );
  if (toothed) return 'wheel';
  return joints.filter((joint) => joint.type === 'seat' && joint.by === 'tab' && (joint.a === id || joint.b === id)).length === 1
    ? 'arm'
    : 'drum';
}
