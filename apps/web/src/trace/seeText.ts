import { inputToSee, type KinematicLook, type Pack } from '@patient-badger/core';

/**
 * How far one must drive before a sound chain shows it, in words: a slow gear is not a dead gear.
 * @example 'On a sound chain the drums have moved 20° after 8.9 turns of the worm; you give it 40.'
 */
export function seeText(pack: Pack, look: KinematicLook): string {
  const needed = inputToSee(pack, look);
  const name = (id: string) => (pack.driveline.bodies.find((body) => body.id === id)?.name ?? id).toLowerCase();
  if (needed === undefined) return `On a sound chain the ${name(look.watch)} does not move here.`;
  const slides = pack.driveline.bodies.find(({ id }) => id === look.watch)?.kind === 'slider';
  const given = Math.abs(look.drive.turns ?? look.drive.travelMm ?? 0);
  const unit = look.drive.turns === undefined ? 'mm' : 'turns';
  return `On a sound chain the ${name(look.watch)} has moved ${slides ? '2 mm' : '20°'} after ${round(needed)} ${unit} of the ${name(look.drive.body)}; you give it ${round(given)}.`;
}

const round = (value: number) => Number(value.toFixed(value < 1 ? 2 : 1));
