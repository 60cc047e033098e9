import { LEAST_LIKELIHOOD } from '../inference/belief.ts';
import { own } from '../operation/own.ts';
import { presentIn, type Hypothesis } from './hypotheses.ts';
import { type LookOutcome } from './lookOutcome.ts';
import type { TableLook } from './pack.ts';

type Row = readonly number[];

/**
 * Results of a look by its table of likelihoods. In a look that is a sight two faults can be seen at once,
 * torn teeth and a rough bearing under the same lamp: each two results that a sound machine does not show
 * are one result more.
 */
export function tableOutcomes(look: TableLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const rows = new Map(hypotheses.map((each) => [each.id, namedRows(look, each)]));
  const twos = twoAtOnce(look);
  const rowOf = (hypothesis: Hypothesis): Row => {
    const named = rows.get(hypothesis.id) ?? [];
    if (hypothesis.none && named.length === 0) return noneRow(look, hypothesis);
    return twos.length > 0 ? ownShow(look, named) : together(look, named);
  };
  const shown = new Map(hypotheses.map((each) => [each.id, rowOf(each)]));
  const both = (id: string, i: number, j: number) => {
    const named = rows.get(id);
    return named && named.length > 1 ? SAY_BOTH * bothSeen(named, i, j) : 0;
  };
  return [
    ...look.results.map(({ id }, i) => ({
      result: id,
      likelihood: (hypothesis: string) =>
        ((shown.get(hypothesis) ?? look.otherwise)[i] as number) -
        // Who says both says neither alone.
        twos.reduce((sum, [p, q]) => sum + (p === i || q === i ? both(hypothesis, p, q) / 2 : 0), 0),
    })),
    ...twos.map(([i, j]): LookOutcome => {
      const [one, other] = [look.results[i], look.results[j]] as [TableLook['results'][number], TableLook['results'][number]];
      return {
        result: `${one.id}+${other.id}`,
        parts: [one.id, other.id],
        likelihood: (hypothesis) => both(hypothesis, i, j),
      };
    }),
  ];
}

/** Share of people who tell both of two things that they see in one look, and not only the one that strikes them (judgement). */
const SAY_BOTH = 0.7;

/** Which result a machine shows most often on which it is none of the faults that the look tells of. */
export const usualOf = ({ otherwise }: TableLook) => otherwise.indexOf(Math.max(...otherwise));

/** What a sound machine shows: where it is not said, what one with any other fault does. */
export const soundRow = ({ sound, otherwise }: TableLook): readonly number[] => sound ?? otherwise;

/** With more results than these their pairs would be a list that nobody reads, and would slow the planning. */
const MOST_TELLING = 5;

/** Results that can be seen beside each other, two by two; none where a look is no sight, or is a figure. */
function twoAtOnce(look: TableLook): readonly (readonly [number, number])[] {
  if (!look.seen || look.figure) return [];
  const telling = look.results.map((_, i) => i).filter((i) => i !== usualOf(look));
  if (telling.length > MOST_TELLING) return [];
  return telling.flatMap((i, place) => telling.slice(place + 1).map((j) => [i, j] as const));
}

const namedRows = (look: TableLook, hypothesis: Hypothesis): readonly Row[] =>
  presentIn(hypothesis).flatMap(({ fault }): Row[] => {
    const row = own(look.likelihoods, fault.id);
    return row ? [row] : [];
  });

/** Chance that the first two of these show, the one this and the other that. */
const bothSeen = ([one = [], other = []]: readonly Row[], i: number, j: number) =>
  (one[i] ?? 0) * (other[j] ?? 0) + (one[j] ?? 0) * (other[i] ?? 0);

/** Where each shows by itself: nothing is seen where all are missed, and of two that show either strikes as often. */
function ownShow(look: TableLook, named: readonly Row[]): Row {
  const [one, other] = named;
  if (!one || !other) return one ?? look.otherwise;
  const usual = usualOf(look);
  return look.otherwise.map((_, i) => {
    const [p, q] = [one[i] as number, other[i] as number];
    if (i === usual) return p * q;
    const alone = p * (other[usual] as number) + (one[usual] as number) * q + p * q;
    const beside = look.otherwise.reduce((sum, __, j) => sum + (j === i || j === usual ? 0 : bothSeen(named, i, j)), 0);
    return alone + beside / 2;
  });
}

/** Of several at once any shows in its own way, and what a sound machine shows is seen only where all are missed. */
function together(look: TableLook, named: readonly Row[]): Row {
  const [first, ...others] = named;
  const usual = usualOf(look);
  return others.reduce<Row>((one, other) => {
    const asSound = Math.min(
      1,
      ((one[usual] as number) * (other[usual] as number)) / Math.max(look.otherwise[usual] as number, LEAST_LIKELIHOOD),
    );
    const shown = one.map((chance, i) => (i === usual ? 0 : chance + (other[i] as number)));
    const total = shown.reduce((sum, chance) => sum + chance, 0);
    return shown.map((chance, i) => (i === usual ? asSound : (total > 0 ? chance / total : 0) * (1 - asSound)));
  }, first ?? look.otherwise);
}

/** A sound machine seldom shows this. */
export const SELDOM = 0.2;

/**
 * Chances under "none of these". Sound after all, and outside of the chain, show what a sound machine does; a cure does not
 * work on what is outside. What is in the chain and not listed shows something unusual half the time where it is, and
 * everywhere else what any other fault would.
 */
function noneRow(look: TableLook, { none, place }: Hypothesis): Row {
  if (none === 'sound') return soundRow(look);
  if (none === 'outside') return look.noneOfThese ?? (look.tries ? look.otherwise : soundRow(look));
  if (look.at !== place) return look.otherwise;
  const unusual = soundRow(look).map((chance) => chance <= SELDOM);
  const count = unusual.filter(Boolean).length;
  return count === 0 ? look.otherwise : look.otherwise.map((chance, i) => chance / 2 + (unusual[i] ? 0.5 / count : 0));
}
