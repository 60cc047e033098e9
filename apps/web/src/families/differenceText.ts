import { t } from '@patient-badger/wording/families';
import type { ModelOverrides, Pack } from '@patient-badger/core/machine';

/** What a model has otherwise than its family, in words. */
export function differenceText(pack: Pack, overrides: ModelOverrides | null): string {
  if (!overrides) return '';
  const joints = Object.entries(overrides.joints).map(([id, change]) => {
    const name = pack.driveline.joints.find((each) => each.id === id)?.name ?? id;
    return `${name}: ${Object.entries(change)
      .filter(([, value]) => value !== undefined)
      .map(([key, value]) => `${FIELD_WORDS[key] ?? key} ${value}`)
      .join(', ')}`;
  });
  const steps = Object.keys(overrides.steps).length;
  const without = overrides.withoutSteps.map((id) => pack.steps.find((each) => each.id === id)?.name ?? id);
  return [
    ...joints,
    ...(steps > 0 ? [t.otherTimes(steps, steps === 1 ? t.stepTakes : t.stepsTake)] : []),
    ...(without.length > 0 ? [t.without(without.join(', '))] : []),
  ].join('. ');
}

export const FIELD_WORDS: Readonly<Record<string, string>> = {
  teethA: t.teethOfTheDriver,
  teethB: t.teethOfTheDriven,
  teeth: 'teeth',
  starts: 'starts',
  moduleMm: 'module',
  leadMm: t.leadInMm,
  ratio: 'ratio',
  travelMm: t.travelInMm,
  travelDeg: t.travelInDegrees,
  material: 'material',
};
