import { inputToSee, slides, type KinematicLook, type Pack } from '@patient-badger/core';
import { placeName } from '../driveline/placeName.ts';

/**
 * How far one must drive before a sound chain shows it, in words: a slow gear is not a dead gear.
 * @example 'On a sound chain 20° show at the number drums after 2.2 turns of the worm; you give it 40 turns.'
 */
export function seeText(pack: Pack, look: KinematicLook): string {
  const needed = inputToSee(pack, look);
  const name = (id: string) => placeName(pack, id).toLowerCase();
  if (needed === undefined) return `On a sound chain nothing moves at the ${name(look.watch)} here.`;
  const amount = look.drive.turns === undefined ? (mm: number) => `${Number(mm.toFixed(1))} mm` : turnsText;
  const given = Math.abs(look.drive.turns ?? look.drive.travelMm ?? 0);
  return `On a sound chain ${slides(pack.driveline, look.watch) ? '2 mm' : '20°'} show at the ${name(look.watch)} after ${amount(needed)} of the ${name(look.drive.body)}; you give it ${amount(given)}.`;
}

/** Less than a turn is said in degrees. */
const turnsText = (turns: number) => {
  if (turns < 0.995) return `${Math.round(turns * 360)}°`;
  const shown = Number(turns.toFixed(1));
  return `${shown} ${shown === 1 ? 'turn' : 'turns'}`;
};
