import { z } from 'zod';
import { capture, looseItem } from '../access/step.ts';
import { MATERIAL_IDS } from '../material/materials.ts';
import { id, positiveUpTo, sentence } from '../quantity/bounds.ts';
import { USE_UNITS } from '../quantity/useUnit.ts';

/** Ways to go on from a verdict: of a family's remedies and of what is put to an owner. */
export const OPTION_KINDS = [
  'clean',
  'adjust',
  'save',
  'repair',
  'replace',
  'upgrade',
  'overhauledUnit',
  'wholeAssembly',
  'donor',
  'make',
  'bypass',
  'scrap',
  'stop',
] as const;
export type OptionKind = (typeof OPTION_KINDS)[number];

/** Questions on which practitioners differ. A remedy of a school is one answer among others. */
export const SCHOOLS = [
  'looseGear',
  'plasticOrMetal',
  'wornGearbox',
  'notSoldApart',
  'nearestRatio',
  'sealant',
  'oldGrease',
  'eccentricByTrial',
  'frictionOrGear',
] as const;

/** What a space of the machine holds. */
export const FLUIDS = [
  'grease',
  'gearOil',
  'engineOil',
  'hydraulicFluid',
  'hydrostaticFluid',
  'brakeFluid',
  'chainOil',
  'instrumentOil',
  'dry',
] as const;

/** The operations whose sum says whether a remedy is possible at all. */
export const REMEDY_CHECKS = [
  'fit.bond',
  'fit.press',
  'fit.stake',
  'fit.boreOut',
  'fit.solder',
  'strength.tooth',
  'strength.chain',
  'strength.pin',
  'gear.wear',
  'gear.spurPair',
  'make.outline',
] as const;

const minutes = z.number().min(0).max(600);
/** A cure or a soak runs over nights; a month is the end. */
const waitMinutes = z.number().min(0).max(43_200);
const chance = z.number().min(0).max(1);
const text = z.string().min(1).max(300);

/** A piece of the repair itself, once everything that it needs is open. */
export const workPiece = z.strictObject({
  id,
  name: text,
  minutes,
  /** Where things are stuck; one and a half times the minutes where it is not said. */
  atWorst: minutes.optional(),
  /** How many people at once; none: it goes on by itself. */
  hands: z.union([z.literal(0), z.literal(1), z.literal(2)]).default(1),
  tools: z.array(text).max(30).default([]),
  cautions: z.array(id).max(30).default([]),
  /** Must pass before the next piece; and at most so long after this one's end the next must begin: open time, skin time. */
  wait: z.strictObject({ minutes: waitMinutes, most: waitMinutes.optional() }).optional(),
});

/** What is fitted or used up: a gear by its body, or a thing by its name. */
export const remedyPart = z.strictObject({
  gear: id.optional(),
  item: text.optional(),
  count: z.int().min(1).max(99).default(1),
  amount: z.string().min(1).max(60).optional(),
  /** A guide until somebody asks for a price: in hours of the shop's rate, and whose judgement it is. */
  guideHours: z.strictObject({ low: z.number().min(0).max(1000), high: z.number().min(0).max(1000), basis: text }),
});

export type RemedyPart = z.infer<typeof remedyPart>;

/** What the driver can bring to a place, N·m, until somebody measures it, and whose judgement that is. */
const loadNm = z.strictObject({ low: z.number().min(0).max(1e6), high: positiveUpTo(1e6), basis: text });

/** One way in which people go on from a fault. */
export const remedySchema = z.strictObject({
  id,
  kind: z.enum(OPTION_KINDS),
  name: text,
  /** For whom it is right. */
  suits: sentence,
  school: z.enum(SCHOOLS).optional(),
  /** Steps that must be open to do it, which is more than to see it. */
  needs: z.array(id).max(30).default([]),
  work: z.array(workPiece).max(20).default([]),
  settings: z.array(id).max(20).default([]),
  proofs: z.array(id).max(20).default([]),
  captures: z.array(capture).max(10).default([]),
  loose: z.array(looseItem).max(20).default([]),
  parts: z.array(remedyPart).max(20).default([]),
  /** Of a new part's life. */
  lifeShare: z.number().min(0).max(5),
  comeBackRisk: chance,
  /** What it leaves on the machine or takes from it, fit for the owner's paper. */
  leaves: sentence,
  checks: z
    .array(
      z.strictObject({
        operation: z.enum(REMEDY_CHECKS),
        about: id,
        loadNm: loadNm.optional(),
        /** Of what a gear is made in the shop; of the body's own where it is not said. */
        material: z.enum(MATERIAL_IDS).optional(),
      }),
    )
    .max(10)
    .default([]),
  /** What age or accident brings with it, by another remedy or by what is worth doing while it is open. */
  besides: z
    .array(z.strictObject({ remedy: id, why: sentence }))
    .max(20)
    .default([]),
});
export type Remedy = z.infer<typeof remedySchema>;

/** How long a new one lasts: a range in the unit in which the chain's use is counted. */
export const lifeNew = z.strictObject({ low: positiveUpTo(1e8), high: positiveUpTo(1e8), unit: z.enum(USE_UNITS), basis: text });

/** What a place of the machine holds, and how much where it is known. */
export const space = z.strictObject({ id, contains: z.enum(FLUIDS), amount: z.string().min(1).max(60).optional() });

/**
 * A family file in which a remedy that serves several faults is written once: where a list of `remedies` has a name in the
 * place of a remedy, the remedy of that name stands in. A name that nobody wrote stays, and is refused where it stands.
 */
export function withRemediesNamed(raw: unknown): unknown {
  const faults = listIn(raw, 'faults');
  if (!faults) return raw;
  const written = new Map<unknown, unknown>();
  for (const remedy of faults.flatMap((fault) => listIn(fault, 'remedies') ?? [])) {
    const named = idIn(remedy);
    if (named !== undefined && !written.has(named)) written.set(named, remedy);
  }
  if (written.size === 0) return raw;
  const resolved = faults.map((fault) => {
    const remedies = listIn(fault, 'remedies');
    return remedies
      ? { ...(fault as object), remedies: remedies.map((each) => (typeof each === 'string' ? (written.get(each) ?? each) : each)) }
      : fault;
  });
  return { ...(raw as object), faults: resolved };
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
const listIn = (value: unknown, field: string): readonly unknown[] | null => {
  const list = isObject(value) ? value[field] : undefined;
  // Spread: what is handed in may be a list that only looks like one.
  return Array.isArray(list) ? [...(list as unknown[])] : null;
};
const idIn = (value: unknown): string | undefined => (isObject(value) && typeof value.id === 'string' ? value.id : undefined);
