import type { MotionState } from '../driveline/schema.ts';
import { soundMovement } from '../trace/lookMotion.ts';
import type { KinematicLook, Pack, TableLook } from '../trace/pack.ts';
import { trueValue, type InstrumentReading } from './reading.ts';

/** Less than this share of what was asked for is no drive at all. */
const STALLED = 0.05;
/** Less than this share of a sound chain's movement is standing still, more than the other is a sound movement. */
const STILL = 0.03;
const SOUND = 0.9;

/** Which result of a look with a figure a value is: the limits lie between the results, a value on one belongs above it. */
export function resultOfFigure({ results, figure }: TableLook, value: number): string {
  const above = (figure?.limits ?? []).filter((limit) => value >= limit).length;
  return (results[above] as TableLook['results'][number]).id;
}

/**
 * Which result of a look counted turns are: what the watched body did against what it would do on a
 * sound chain for the same drive.
 */
export function resultOfTurns(pack: Pack, look: KinematicLook, reading: InstrumentReading): string {
  const wanted = look.drive.turns ?? look.drive.travelMm ?? 0;
  const putIn = reading.putIn ?? wanted;
  const state = (watch: string, value: number): MotionState => {
    if (Math.abs(putIn) < STALLED * Math.abs(wanted)) return 'locked';
    const share = Math.abs(value) / (Math.abs(soundMovement(pack, look, watch)) * Math.abs(putIn / wanted));
    if (share < STILL) return 'still';
    return share < SOUND ? 'less' : 'turns';
  };
  const first = state(look.watch, trueValue(reading));
  return look.beside === undefined ? first : `${first}-${state(look.beside, reading.beside ?? 0)}`;
}
