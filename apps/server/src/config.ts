import { t } from '@patient-badger/wording/server';
import { accessSync, constants, existsSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

function isReadable(file: string): boolean {
  try {
    accessSync(file, constants.R_OK);
    return true;
  } catch {
    return false;
  }
}

const readable = (name: string) => z.string().refine(isReadable, t.mustBeAFileThat(name)).optional();

const settings = z.object({
  HOST: z.string().min(1).default('127.0.0.1'),
  PORT: z.coerce.number(t.portMustBeANumber).int(t.portMustBeAWhole).min(0, t.portMustBe0Or).max(65535, t.portMustBe65535Or).default(4173),
  DATABASE_URL: z.string(t.databaseUrlIsMissingSay).regex(/^postgres(ql)?:\/\//, t.databaseUrlMustBeginWith),
  STATIC_DIR: z
    .string()
    .refine((folder) => existsSync(join(folder, 'index.html')), t.staticDirHoldsNoIndex)
    .optional(),
  REQUESTS_PER_MINUTE: z.coerce.number(t.requestsPerMinuteMustBe).int().min(60, t.requestsPerMinuteMustBe60).max(1_000_000).default(1200),
  SIGN_INS_PER_MINUTE: z.coerce.number(t.signInsPerMinuteMust).int().min(3, t.signInsPerMinuteMustBe).max(1000).default(10),
  TLS_CERT_FILE: readable('TLS_CERT_FILE'),
  TLS_KEY_FILE: readable('TLS_KEY_FILE'),
  TRUST_PROXY: z
    .string()
    .regex(/^[0-9a-f.:/]+(,[0-9a-f.:/]+)*$/i, t.trustProxyMustBeThe)
    .optional(),
  PUBLIC_ADDRESS: z.url({ protocol: /^https?$/, error: t.publicAddressMustBeThe }).optional(),
  ALLOWED_HOSTS: z
    .string()
    .regex(/^[\w.-]+(,[\w.-]+)*$/, t.allowedHostsMustBeThe)
    .optional(),
  /** Where the database keeps its files, if that is on this computer: to say when the disk is full. */
  DATA_DIR: z.string().min(1).optional(),
  BACKUP_DIR: z.string().min(1).optional(),
  BACKUP_EVERY_HOURS: z.coerce.number(t.backupEveryHoursMustBe).min(1, t.backupEveryHoursMustBe1).max(720).default(24),
  BACKUP_KEEP: z.coerce.number(t.backupKeepMustBeA).int().min(1, t.backupKeepMustBe1).max(1000).default(30),
  SEED_DEMO: z.enum(['0', '1'], t.seedDemoMustBe1).default('0'),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent'], t.logLevelMustBeFatal).default('info'),
});
const schema = settings.refine(
  ({ TLS_CERT_FILE, TLS_KEY_FILE }) => (TLS_CERT_FILE === undefined) === (TLS_KEY_FILE === undefined),
  t.tlsCertFileAndTls,
);
export type Config = z.infer<typeof schema>;

/** Reads the environment once. Throws one sentence per wrong setting; nothing is guessed. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const parsed = schema.safeParse(env);
  if (parsed.success) return parsed.data;
  throw new Error(parsed.error.issues.map(({ message }) => message).join('\n'));
}
