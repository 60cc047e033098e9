import { t } from '@patient-badger/wording/driveline';
import { t as shared } from '@patient-badger/wording/shared';
import { slides, type MotionOutput, type Pack } from '@patient-badger/core/machine';

type BodyMotion = MotionOutput['bodies'][string];

/** What a body does, in words. */
export function stationWords(motion: BodyMotion | undefined, sliding = false): string {
  switch (motion?.state) {
    case 'turns':
      return motion.travelMm === undefined ? turnsText(motion.turns ?? 0) : t.travelsMm(Math.abs(motion.travelMm).toFixed(1));
    case 'less':
      return sliding ? t.travelsButLessThanIt : t.turnsButLessThanIt;
    case 'locked':
      return sliding ? t.lockedItWillNotMove : t.lockedNothingWillTurn;
    case 'irregular':
      return t.jerks;
    default:
      return t.standsStill;
  }
}

function turnsText(turns: number): string {
  const size = Math.abs(turns);
  const way = turns < 0 ? t.theOtherWay : t.theSameWay;
  if (size < 0.1) return `${(size * 360).toFixed(size * 360 < 10 ? 1 : 0)}°, ${way}`;
  return `${shared.turnsOf(size === 1 ? 1 : size.toFixed(size < 10 ? 2 : 0))}, ${way}`;
}

interface Running {
  readonly output: MotionOutput;
}

/** What a body does on the sound chain, how long one must turn to see it, and what it does on the other chain where that differs. */
export function motionWords(pack: Pack, body: string, [sound, faulty]: readonly Running[]): { text: string; marked?: boolean }[] {
  const sliding = slides(pack.driveline, body);
  const usual = stationWords(sound?.output.bodies[body], sliding);
  const driver = body === pack.order[0];
  const lines: { text: string; marked?: boolean }[] = [{ text: faulty ? t.soundWithUsual(usual) : usual }];
  const needed = driver ? null : turnsToShow(sliding, sound?.output.ratios[body] ?? 0);
  if (needed) lines.push({ text: needed });
  if (!faulty) return lines;
  const here = stationWords(faulty.output.bodies[body], sliding);
  return here === usual ? lines : [...lines, { text: t.withItWithHere(here), marked: true }];
}

/** How many turns go in at the top until a sound body shows it, where that is more than one would give it without thinking. */
function turnsToShow(sliding: boolean, ratio: number): string | null {
  if (ratio === 0) return null;
  const turns = (sliding ? 2 : 20 / 360) / Math.abs(ratio);
  return turns < 1 ? null : t.showsAfterTurns(sliding ? '2 mm' : '20°', turns < 10 ? turns.toFixed(1) : Math.round(turns));
}
