import { standsIn } from '../match/standsIn.ts';
import type { PartAttributes } from '../match/schema.ts';
import type { BookLine } from './line.ts';

/** A line with where it comes from: a job, or a sheet or another shop by name. */
export interface WrittenLine {
  readonly line: BookLine;
  /** What sets it apart from the same line of another job. */
  readonly source: string;
  readonly at: string;
}

export interface GearInBook {
  readonly attributes: PartAttributes;
  /** Jobs or sheets that say so, and those that say otherwise. */
  readonly agree: number;
  readonly of: number;
}

export interface PartInBook {
  readonly gear: string;
  readonly partNumber: string;
  readonly name: string;
  readonly proved: number;
  readonly refused: readonly { readonly deciding: string; readonly note: string }[];
}

export interface ModelBook {
  /** By gear, the one that most jobs agree on. */
  readonly gears: Readonly<Record<string, GearInBook>>;
  /** Gears of which two jobs tell different things, with the dimensions in which they differ. */
  readonly contradictions: readonly { readonly gear: string; readonly differs: readonly string[] }[];
  /** Those that proved themselves most often first. */
  readonly parts: readonly PartInBook[];
  /** The most frequent first. */
  readonly faults: readonly { readonly fault: string; readonly times: number }[];
  /** Torques, fills, plates, speedometer gears and notes: the latest of each. */
  readonly rest: readonly WrittenLine[];
}

/** What all lines of one model say together, in whatever order they were written. */
export function modelBook(lines: readonly WrittenLine[]): ModelBook {
  const latest = [...lines].sort((p, q) => (p.at < q.at ? 1 : -1) || (p.source < q.source ? 1 : -1));
  const of = <K extends BookLine['kind']>(kind: K) =>
    latest.flatMap(({ line }) => (line.kind === kind ? [line as Extract<BookLine, { kind: K }>] : []));
  const told = of('gear');
  const byGear = [...new Set(told.map(({ gear }) => gear))].map((gear) => [gear, told.filter((each) => each.gear === gear)] as const);
  return {
    gears: Object.fromEntries(byGear.map(([gear, list]) => [gear, mostAgreed(list.map(({ attributes }) => attributes))])),
    contradictions: byGear.flatMap(([gear, list]) => {
      const differs = [...new Set(list.flatMap((each) => differencesOf(list[0]?.attributes ?? {}, each.attributes)))];
      return differs.length > 0 ? [{ gear, differs }] : [];
    }),
    parts: partsOf(of('partProved'), of('partRefused')),
    faults: counted(of('fault').map(({ fault }) => fault)),
    rest: latest.filter(({ line: { kind } }) => !['gear', 'partProved', 'partRefused', 'fault'].includes(kind)),
  };
}

function mostAgreed(list: readonly PartAttributes[]): GearInBook {
  const agreeing = list.map((attributes) => ({
    attributes,
    agree: list.filter((other) => differencesOf(attributes, other).length === 0).length,
  }));
  // The latest of those that most agree with.
  const best = agreeing.reduce((p, q) => (q.agree > p.agree ? q : p));
  return { ...best, of: list.length };
}

/** In what two descriptions of one gear contradict each other; what only one of them says contradicts nothing. */
export const differencesOf = (one: PartAttributes, other: PartAttributes): readonly string[] => {
  if (Object.keys(one).length === 0 || Object.keys(other).length === 0) return [];
  return standsIn({ part: one, other }).differs.map(({ name }) => name);
};

type ProofLine = Extract<BookLine, { kind: 'partProved' }>;
type RefusalLine = Extract<BookLine, { kind: 'partRefused' }>;

function partsOf(proved: readonly ProofLine[], refused: readonly RefusalLine[]): readonly PartInBook[] {
  const keys = [...new Set([...proved, ...refused].map(({ gear, partNumber }) => `${gear}\n${partNumber}`))];
  const parts = keys.map((key): PartInBook => {
    const [gear = '', partNumber = ''] = key.split('\n');
    const isIt = (each: ProofLine | RefusalLine) => each.gear === gear && each.partNumber === partNumber;
    return {
      gear,
      partNumber,
      name: proved.find((each) => isIt(each) && each.name !== '')?.name ?? '',
      proved: proved.filter(isIt).length,
      refused: refused.filter(isIt).map(({ deciding, note }) => ({ deciding, note })),
    };
  });
  return parts.sort((p, q) => q.proved - p.proved || p.refused.length - q.refused.length || (p.partNumber < q.partNumber ? -1 : 1));
}

function counted(list: readonly string[]): readonly { fault: string; times: number }[] {
  const all = [...new Set(list)].map((fault) => ({ fault, times: list.filter((each) => each === fault).length }));
  return all.sort((p, q) => q.times - p.times || (p.fault < q.fault ? -1 : 1));
}
