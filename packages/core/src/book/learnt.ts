import { captureAbout } from '../job/captures.ts';
import type { JobState } from '../job/jobState.ts';
import { isProved } from '../job/proofPlan.ts';
import { toSetRight } from '../job/toSetRight.ts';
import type { PartAttributes } from '../match/schema.ts';
import type { Pack } from '../trace/pack.ts';
import type { BookLine } from './line.ts';

/** A gear as its readings have it, worked out elsewhere, with how sure that is. */
export interface IdentifiedGear {
  readonly gear: string;
  readonly attributes: PartAttributes;
  readonly probability: number;
}

/** Below this chance a gear is not known well enough to be written down for the next job. */
const SURE = 0.8;

/**
 * What a finished job says of its machine's model: faults that were set right, parts that held in the proof
 * or were sent back, gears that are known well, torques, plates, speedometer gears. A part counts as proved
 * only where every proof of the family was passed.
 */
export function learnt(pack: Pack, state: JobState, identified: readonly IdentifiedGear[]): readonly BookLine[] {
  const proved = isProved(pack, state);
  const faults = proved ? toSetRight(pack, state).map(({ id }): BookLine => ({ kind: 'fault', fault: id })) : [];
  const gears = identified
    .filter(({ probability }) => probability >= SURE)
    .map(({ gear, attributes, probability }): BookLine => ({ kind: 'gear', gear, attributes, probability }));
  const parts = Object.entries(state.gears).flatMap(([gear, { chosen, fitted, orders = [] }]): BookLine[] => {
    const name = chosen?.partNumber === fitted?.partNumber ? (chosen?.name ?? '') : '';
    const refused = orders.flatMap(({ partNumber, refusal }): BookLine[] =>
      refusal ? [{ kind: 'partRefused', gear, partNumber, deciding: refusal.deciding, note: refusal.note }] : [],
    );
    return [...(fitted && proved ? [{ kind: 'partProved' as const, gear, partNumber: fitted.partNumber, name }] : []), ...refused];
  });
  return [
    ...faults,
    ...gears,
    ...parts,
    ...state.torques.map(({ step, item, torque }): BookLine => ({ kind: 'torque', step, item, torque })),
    ...state.plates.map(({ partNumber, where }): BookLine => ({ kind: 'plate', partNumber, where })),
    ...(state.ratioChosen
      ? [
          {
            kind: 'speedometer' as const,
            driveTeeth: state.ratioChosen.driveTeeth,
            drivenTeeth: state.ratioChosen.drivenTeeth,
            readingErrorPercent: state.ratioChosen.readingErrorPercent,
            ...(state.ratioChosen.figures && { figures: state.ratioChosen.figures }),
          },
        ]
      : []),
    ...pricesAsked(state),
    ...picturesOf(pack, state),
    ...(state.closed?.note ? [{ kind: 'note' as const, text: state.closed.note }] : []),
  ];
}

/** A price that was asked is known for the next job on such a machine. */
const pricesAsked = ({ prices }: JobState): readonly BookLine[] =>
  prices.map(({ gear, what, supplier, priceMinor, leadDays }): BookLine => ({
    kind: 'price',
    ...(gear !== undefined && { gear }),
    what,
    supplier,
    priceMinor,
    leadDays,
  }));

/** Photos of positions that a step loses and of gears: what the next who opens such a machine would look for. */
function picturesOf(pack: Pack, { photos }: JobState): readonly BookLine[] {
  const captures = pack.steps.flatMap(({ id: step, name, captures: asked }) =>
    asked.map((capture) => [captureAbout(step, capture.id), `${name}: ${capture.ask}`] as const),
  );
  const named = new Map([...captures, ...pack.gears.map(({ id, name }) => [id, name] as const)]);
  const seen = new Set<string>();
  return photos.flatMap(({ hash, about }): BookLine[] => {
    const what = named.get(about);
    if (what === undefined || seen.has(hash)) return [];
    seen.add(hash);
    return [{ kind: 'picture', hash, what: what.slice(0, 300) }];
  });
}
