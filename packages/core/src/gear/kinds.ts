import type { Driveline } from '../driveline/schema.ts';
import { bevel } from './bevel/kind.ts';
import { cylindrical } from './cylindrical/kind.ts';
import type { GearKind } from './GearKind.ts';
import type { GearOfFamily } from './measuredGear.ts';
import { rack } from './rack/kind.ts';
import { screw } from './screw/kind.ts';
import { sector } from './sector/kind.ts';
import { worm } from './worm/kind.ts';
import { wormSector } from './wormSector/kind.ts';
import { wormWheel } from './wormWheel/kind.ts';

/** Every kind of gear, the one list: operations, entries of readings, and the gear card all read it. */
const KINDS = [worm, cylindrical, sector, wormSector, bevel, wormWheel, rack, screw] as const;
export const GEAR_KINDS: readonly GearKind[] = KINDS;

type Kind = (typeof KINDS)[number];
export type MeasuredKindId = Extract<Kind, { identification: unknown }>['id'];

/** The kind that a gear of a chain is measured as; null where the core has none for it. */
export const gearKindOf = (card: GearOfFamily, driveline: Driveline): GearKind | null =>
  GEAR_KINDS.find(({ types, suits }) => types.includes(card.type) && (suits?.(card, driveline) ?? true)) ?? null;

type Together<T> = (T extends unknown ? (each: T) => void : never) extends (all: infer All) => void ? All : never;

/** The operations of every kind, by name. */
export const gearKindOperations = Object.assign({}, ...KINDS.map(({ operations }) => operations)) as Together<Kind['operations']>;
