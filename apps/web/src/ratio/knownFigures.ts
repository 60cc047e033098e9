import type { JobState, ModelBook } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import type { SpeedometerDraft } from './speedometer.ts';

/** A train as one writes it, off the counts of the drive line in their order; empty where a stage has none. */
export function trainOf({ driveline, order }: Pick<Pack, 'driveline' | 'order'>): string {
  const stages = driveline.joints.flatMap((joint) => {
    switch (joint.type) {
      case 'mesh':
      case 'bevel':
        return [{ driver: joint.a, text: `${joint.teethA}:${joint.teethB}` }];
      case 'worm':
        return [{ driver: joint.worm, text: `${joint.starts}w:${joint.teeth}` }];
      default:
        return [];
    }
  });
  return stages
    .sort((p, q) => order.indexOf(p.driver) - order.indexOf(q.driver))
    .map(({ text }) => text)
    .join(' ');
}

/**
 * What the speedometer's desk knows before anything is typed: the job's own figures, or those of the model book without
 * the tyre, which is each machine's own.
 */
export function knownSpeedometer({ ratioChosen }: Pick<JobState, 'ratioChosen'>, book: ModelBook | undefined): Partial<SpeedometerDraft> {
  if (ratioChosen?.figures) return ratioChosen.figures;
  const line = book?.rest.map((each) => each.line).find((each) => each.kind === 'speedometer');
  if (line?.kind !== 'speedometer' || !line.figures) return {};
  const { tyre: _, ...figures } = line.figures;
  return figures;
}
