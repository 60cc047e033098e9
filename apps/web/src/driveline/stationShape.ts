import { slides, type Driveline, type Joint } from '@patient-badger/core/machine';

export type StationShape = 'driver' | 'drum' | 'arm' | 'worm' | 'wheel' | 'bevel' | 'sector' | 'screw' | 'nut' | 'rack' | 'cage' | 'slider';

/** What to draw for a body: told by the joints it takes part in. */
export function stationShape(driveline: Driveline, id: string, first: boolean): StationShape {
  if (first) return 'driver';
  const told = driveline.joints.map((joint) => shapeIn(joint, id)).find((shape) => shape !== null);
  if (told) return told;
  if (slides(driveline, id)) return 'slider';
  const tabs = driveline.joints.filter((joint) => joint.type === 'seat' && joint.by === 'tab' && (joint.a === id || joint.b === id));
  return tabs.length === 1 ? 'arm' : 'drum';
}

function shapeIn(joint: Joint, id: string): StationShape | null {
  switch (joint.type) {
    case 'worm':
      if (joint.worm === id) return 'worm';
      if (joint.wheel !== id) return null;
      return joint.travelDeg === undefined ? 'wheel' : 'sector';
    case 'mesh':
      if (joint.a === id) return 'wheel';
      if (joint.b !== id) return null;
      return joint.travelDeg === undefined ? 'wheel' : 'sector';
    case 'bevel':
      return joint.a === id || joint.b === id ? 'bevel' : null;
    case 'rack':
      if (joint.rack === id) return 'rack';
      return joint.pinion === id ? 'wheel' : null;
    case 'screw':
      if (joint.nut === id) return 'nut';
      return joint.screw === id ? 'screw' : null;
    case 'differential':
      return joint.case === id ? 'cage' : null;
    default:
      return null;
  }
}
