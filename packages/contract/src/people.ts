import { because, LENGTH_UNITS } from '@patient-badger/core';
import { TORQUE_UNITS } from '@patient-badger/core';
import { z } from 'zod';

/** Owners set the shop up; what an apprentice closes is looked over by somebody else first. */
export const ROLES = ['owner', 'mechanic', 'apprentice'] as const;
export type Role = (typeof ROLES)[number];

const name = z.string().trim().min(1, because('noName')).max(60);
const id = z.string().min(1).max(80);

/** Somebody who works here, or did: whoever wrote something stays in the record under their name. */
export const person = z
  .object({
    id: z.string(),
    name: z.string(),
    role: z.enum(ROLES),
    /** What they mostly do. */
    about: z.string(),
    retired: z.boolean(),
    /** Can be switched to by PIN on a device that is signed in. */
    hasPin: z.boolean(),
  })
  .meta({ id: 'Person' });
export type Person = z.infer<typeof person>;

export const DISTANCE_UNITS = ['km', 'mile'] as const;

/** What the owner sets once for everybody. */
export const shopSettings = z.object({
  name: z.string().trim().min(1, because('noShopName')).max(80),
  currency: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{3}$/, because('notCurrency')),
  lengthUnit: z.enum(LENGTH_UNITS),
  distanceUnit: z.enum(DISTANCE_UNITS),
  torqueUnit: z.enum(TORQUE_UNITS),
  /** An hour of work, in hundredths of the currency. */
  rateMinor: z.int().min(0).max(10_000_000),
});
export type ShopSettings = z.infer<typeof shopSettings>;

/** What an owner may change: the settings, and whether the shop's own proved verdicts move the priors of the families. */
export const shopChange = shopSettings.extend({ ownPriors: z.boolean() }).partial().strict();

export const shop = z
  .object({ id: z.string(), ...shopSettings.shape, ownPriors: z.boolean(), people: z.array(person) })
  .meta({ id: 'Shop' });
export type Shop = z.infer<typeof shop>;

/** Backups by themselves: where they lie, and when the last one was made. */
export const backups = z
  .object({ schedule: z.object({ folder: z.string(), last: z.iso.datetime().nullable(), failed: z.string().nullable() }).nullable() })
  .meta({ id: 'Backups' });

export const PASSPHRASE_LEAST = 12;
/** Long enough for any sentence, and short enough to be hashed without harm. */
const MOST_LETTERS = 128;
const typedPassphrase = z.string().min(1, because('noPassphrase')).max(MOST_LETTERS);
const newPassphrase = z.string().min(PASSPHRASE_LEAST, because('passphraseShort')).max(MOST_LETTERS);
const pin = z.string().regex(/^\d{4,8}$/, because('notPin'));
/** What the device calls itself in the list of devices. */
const device = z.string().trim().max(80).default('');

/** The first visit: a shop and its owner, by the code that the start of the server has printed. */
export const firstShop = z
  .strictObject({
    code: z.string().trim().max(40),
    shop: z.strictObject(shopSettings.shape),
    owner: z.strictObject({ name, passphrase: newPassphrase }),
    /** Parts of made-up makers, for trying the searches out. */
    withSampleParts: z.boolean().default(false),
    device,
  })
  .meta({ id: 'FirstShop' });
export type FirstShop = z.infer<typeof firstShop>;

export const signIn = z.strictObject({ name, passphrase: typedPassphrase, device }).meta({ id: 'SignIn' });
export type SignIn = z.infer<typeof signIn>;

/** Who takes the device over: by PIN, or by passphrase where they have none. */
export const switchTo = z
  .strictObject({
    person: id,
    pin: z.string().max(8).optional(),
    passphrase: typedPassphrase.optional(),
    /** Entries of theirs that they sign with it: a second check, or the closing of a safety-critical job. */
    signs: z.array(z.uuid()).max(20).optional(),
  })
  .meta({ id: 'SwitchTo' });
export type SwitchTo = z.infer<typeof switchTo>;

/** How a device stands, before anything else is asked. */
export const standing = z
  .object({
    /** No shop yet; somebody has to sign in; signed in. */
    state: z.enum(['first', 'signIn', 'signedIn']),
    /** Of one that is signed in: who has it now, and who has shown on it that it is them. */
    person: z.string().nullable(),
    proven: z.array(z.string()),
    /** Of the made-up shop only: how to get in. */
    sample: z.object({ names: z.array(z.string()), passphrase: z.string(), pin: z.string() }).nullable(),
  })
  .meta({ id: 'Standing' });
export type Standing = z.infer<typeof standing>;

export const personDraft = z
  .strictObject({ name, role: z.enum(ROLES), about: z.string().trim().max(120).default(''), passphrase: newPassphrase })
  .meta({ id: 'PersonDraft' });
export type PersonDraft = z.infer<typeof personDraft>;

/** What the owner changes of somebody; a passphrase given here ends everything they had signed in. */
export const personChange = z
  .strictObject({
    id,
    name: name.optional(),
    role: z.enum(ROLES).optional(),
    about: z.string().trim().max(120).optional(),
    retired: z.boolean().optional(),
    passphrase: newPassphrase.optional(),
  })
  .meta({ id: 'PersonChange' });
export type PersonChange = z.infer<typeof personChange>;

/** Somebody's own secret, by the passphrase they have. */
export const secretChange = z
  .strictObject({ passphrase: typedPassphrase, newPassphrase: newPassphrase.optional(), newPin: pin.optional() })
  .meta({ id: 'SecretChange' });
export type SecretChange = z.infer<typeof secretChange>;

export const signedInDevice = z
  .object({
    id: z.uuid(),
    name: z.string(),
    personId: z.string(),
    since: z.string(),
    lastSeen: z.string(),
    here: z.boolean(),
  })
  .meta({ id: 'SignedInDevice' });
export type SignedInDevice = z.infer<typeof signedInDevice>;

/** One change outside the jobs: who, when, of what, from what to what. */
export const auditLine = z
  .object({
    id: z.int(),
    at: z.string(),
    by: z.string().nullable(),
    what: z.string(),
    about: z.string(),
    before: z.record(z.string(), z.unknown()).nullable(),
    after: z.record(z.string(), z.unknown()).nullable(),
  })
  .meta({ id: 'AuditLine' });
export type AuditLine = z.infer<typeof auditLine>;

export const AUDIT_A_PAGE = 50;
export const auditQuery = z.object({ before: z.coerce.number().int().min(1).optional() });
export const auditPage = z.object({ lines: z.array(auditLine), next: z.int().nullable() }).meta({ id: 'AuditPage' });
