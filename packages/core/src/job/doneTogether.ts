import type { LooseItem, PutBack, Step, Wait } from '../access/step.ts';
import { cautionsOn } from '../trace/cautionsOn.ts';
import type { Pack } from '../trace/pack.ts';
import { captureRecords } from './captures.ts';
import type { JobState } from './jobState.ts';
import { openSettings } from './proofPlan.ts';

/** A piece of work with what keeps it from being called done along with others. */
interface Piece {
  readonly cautions: readonly string[];
  /** A position is still to be taken down before it, or to be called back where it was. */
  readonly asks: boolean;
  readonly loose: readonly LooseItem[];
  readonly wait?: Wait | undefined;
  /** Something has to be set right behind it. */
  readonly sets: boolean;
}

/**
 * The first of a row and those that may be called done with it by one press. Never one that asks for a position, that somebody can be
 * hurt at and nobody has confirmed, or that has a left-hand thread; nothing behind what has to wait or to be set.
 */
function together<T>(pack: Pack, state: JobState, row: readonly { readonly of: T; readonly piece: Piece }[]): readonly T[] {
  const isOdd = ({ loose }: Piece) => loose.some(({ hand }) => hand === 'left');
  const isUnread = ({ cautions }: Piece) =>
    cautionsOn(pack, cautions, []).some(({ id, level }) => level === 'hurt' && !state.acknowledged.includes(id));
  const halts = ({ wait, sets }: Piece) => wait !== undefined || sets;
  const [first, ...later] = row;
  if (!first) return [];
  const list = [first];
  for (const next of isOdd(first.piece) ? [] : later) {
    const last = list.at(-1)?.piece;
    if ((last && halts(last)) || next.piece.asks || isOdd(next.piece) || isUnread(next.piece)) break;
    list.push(next);
  }
  return list.map(({ of }) => of);
}

/** Opening steps that may be called done together, from the first of the row on. */
export const stepsTogether = (pack: Pack, row: readonly Step[], state: JobState): readonly Step[] =>
  together(
    pack,
    state,
    row.map((step) => ({
      of: step,
      piece: {
        cautions: step.cautions,
        asks: captureRecords(pack, [step.id], state).some(({ taken }) => !taken),
        loose: step.loose,
        wait: step.wait,
        sets: false,
      },
    })),
  );

/** Pieces of the way back that may be called done together, from the first of the row on. */
export function piecesTogether(pack: Pack, row: readonly PutBack[], state: JobState): readonly PutBack[] {
  const unset = new Set(openSettings(pack, state).map(({ id }) => id));
  return together(
    pack,
    state,
    row.map((piece) => ({
      of: piece,
      piece: {
        cautions: piece.cautions,
        asks: captureRecords(pack, piece.closes, state).some(({ toRestore, restored }) => toRestore && !restored),
        loose: pack.steps.filter(({ id }) => piece.closes.includes(id)).flatMap(({ loose }) => loose),
        wait: piece.wait,
        sets: (piece.setting !== undefined && unset.has(piece.setting)) || piece.tighten !== undefined,
      },
    })),
  );
}
