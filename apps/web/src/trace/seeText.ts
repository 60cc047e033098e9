import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { inputToSee, slides, type KinematicLook, type Pack } from '@patient-badger/core/machine';
import { placeName } from '../driveline/placeName.ts';

/**
 * How far one must drive before a sound chain shows it, in words: a slow gear is not a dead gear.
 * @example 'On a sound chain 20° show at the number drums after 2.2 turns of the worm; you give it 40 turns.'
 */
export function seeText(pack: Pack, look: KinematicLook): string {
  const needed = inputToSee(pack, look);
  const name = (id: string) => placeName(pack, id).toLowerCase();
  if (needed === undefined) return t.onASoundChainNothing(name(look.watch));
  const amount = look.drive.turns === undefined ? (mm: number) => `${Number(mm.toFixed(1))} mm` : turnsText;
  const given = Math.abs(look.drive.turns ?? look.drive.travelMm ?? 0);
  return t.onASoundChainShow(
    slides(pack.driveline, look.watch) ? '2 mm' : '20°',
    name(look.watch),
    amount(needed),
    name(look.drive.body),
    amount(given),
  );
}

/** Less than a turn is said in degrees. */
const turnsText = (turns: number) => {
  if (turns < 0.995) return `${Math.round(turns * 360)}°`;
  return shared.turnsOf(Number(turns.toFixed(1)));
};
