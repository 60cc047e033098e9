import { t } from '@patient-badger/wording/book';
import type { Pack } from '@patient-badger/core/machine';
import { typedNumber } from '../design/typedNumber.ts';

const LABELS = { teethA: t.drivingTeeth, teethB: t.drivenTeeth, starts: 'starts', teeth: 'teeth' } as const;
type CountField = keyof typeof LABELS;

interface JointCounts {
  readonly joint: string;
  readonly name: string;
  readonly counts: readonly { readonly field: CountField; readonly label: string; readonly value: number }[];
}

/** What is typed, by joint and field: `wheel-mesh/teethA`. */
export type TypedCounts = Readonly<Record<string, string>>;

/** The joints of a drive line that have something counted, with what is counted on each. */
export const countsOf = ({ driveline }: Pick<Pack, 'driveline'>): readonly JointCounts[] =>
  driveline.joints.flatMap((joint) => {
    const counts = (Object.keys(LABELS) as CountField[]).flatMap((field) => {
      const value = (joint as Partial<Record<CountField, unknown>>)[field];
      return typeof value === 'number' ? [{ field, label: LABELS[field], value }] : [];
    });
    return counts.length > 0 ? [{ joint: joint.id, name: joint.name ?? joint.id, counts }] : [];
  });

/** The counts that were typed and are others than before, as a model's overrides take them; null where one is no count. */
export function changedJoints(
  pack: Pick<Pack, 'driveline'>,
  typed: TypedCounts,
): Record<string, Partial<Record<CountField, number>>> | null {
  const changed: Record<string, Partial<Record<CountField, number>>> = {};
  for (const { joint, counts } of countsOf(pack)) {
    for (const { field, value } of counts) {
      const text = typed[`${joint}/${field}`];
      if (text === undefined) continue;
      const count = typedNumber(text);
      if (!Number.isInteger(count) || count < 1) return null;
      if (count !== value) changed[joint] = { ...changed[joint], [field]: count };
    }
  }
  return changed;
}
