import { stepsNamed, type PutBack, type Step } from './step.ts';

/** What of a family the way back is made from. */
interface Family {
  readonly steps: readonly Step[];
  readonly closing: readonly PutBack[];
}

/**
 * The way back from what was opened, in the order in which it has to be done: what was opened last is
 * closed first. A piece that closes several steps waits until everything opened after the first of them
 * is closed. Work that exists only on the way back (clean out, grease, set, fill) stands where the family
 * lists it: right behind the piece it follows there. A step that the family gives
 * no way back is put back as it came off.
 */
export function reassembly({ steps, closing }: Family, opened: readonly string[]): readonly PutBack[] {
  const place = new Map(opened.map((id, i) => [id, i]));
  const putBack = closing
    .filter(({ closes }) => closes.some((id) => place.has(id)))
    .map((piece) => ({ piece, first: Math.min(...piece.closes.map((id) => place.get(id) ?? Infinity)) }));
  const covered = new Set(putBack.flatMap(({ piece }) => piece.closes));
  const uncovered = opened.filter((id) => !covered.has(id));
  const plain = stepsNamed(steps, uncovered).map((step) => ({ piece: asItCameOff(step), first: place.get(step.id) ?? 0 }));
  const order = [...putBack, ...plain].sort((p, q) => q.first - p.first).map(({ piece }) => piece);
  return withCloseOnly(closing, order, place);
}

/** Puts each piece of close-only work right behind the nearest piece listed before it that is in the order, or at the beginning. */
function withCloseOnly(closing: readonly PutBack[], order: readonly PutBack[], opened: ReadonlyMap<string, number>): readonly PutBack[] {
  const list = [...order];
  closing.forEach((piece, i) => {
    if (piece.closes.length > 0) return;
    if (piece.after.length > 0 && !piece.after.some((id) => opened.has(id))) return;
    const before = closing.slice(0, i).findLast((each) => list.includes(each));
    list.splice(before ? list.indexOf(before) + 1 : 0, 0, piece);
  });
  return list;
}

const asItCameOff = ({ id, name, minutes, helper, cautions }: Step): PutBack => ({
  id,
  name,
  how: '',
  asItCameOff: true,
  minutes,
  kind: 'putBack',
  helper,
  cautions,
  closes: [id],
  after: [],
});
