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

const readable = (name: string) =>
  z.string().refine(isReadable, `${name} must be a file that the server can read; started as root it runs as nobody.`).optional();

const settings = z.object({
  HOST: z.string().min(1).default('127.0.0.1'),
  PORT: z.coerce
    .number('PORT must be a number.')
    .int('PORT must be a whole number.')
    .min(0, 'PORT must be 0 or more.')
    .max(65535, 'PORT must be 65535 or less.')
    .default(4173),
  DATABASE_URL: z
    .string('DATABASE_URL is missing: say where PostgreSQL is, such as postgres://user@127.0.0.1:5432/name.')
    .regex(/^postgres(ql)?:\/\//, 'DATABASE_URL must begin with postgres://'),
  STATIC_DIR: z
    .string()
    .refine(
      (folder) => existsSync(join(folder, 'index.html')),
      'STATIC_DIR holds no index.html: build the app first, or leave it out and serve the screens elsewhere.',
    )
    .optional(),
  REQUESTS_PER_MINUTE: z.coerce
    .number('REQUESTS_PER_MINUTE must be a number.')
    .int()
    .min(60, 'REQUESTS_PER_MINUTE must be 60 or more.')
    .max(1_000_000)
    .default(1200),
  SIGN_INS_PER_MINUTE: z.coerce
    .number('SIGN_INS_PER_MINUTE must be a number.')
    .int()
    .min(3, 'SIGN_INS_PER_MINUTE must be 3 or more.')
    .max(1000)
    .default(10),
  TLS_CERT_FILE: readable('TLS_CERT_FILE'),
  TLS_KEY_FILE: readable('TLS_KEY_FILE'),
  TRUST_PROXY: z
    .string()
    .regex(
      /^[0-9a-f.:/]+(,[0-9a-f.:/]+)*$/i,
      'TRUST_PROXY must be the addresses of the proxies in front, such as 127.0.0.1 or 10.0.0.0/8,127.0.0.1.',
    )
    .optional(),
  PUBLIC_ADDRESS: z
    .url({ protocol: /^https?$/, error: 'PUBLIC_ADDRESS must be the address that phones open, such as https://badger.example.' })
    .optional(),
  ALLOWED_HOSTS: z
    .string()
    .regex(/^[\w.-]+(,[\w.-]+)*$/, 'ALLOWED_HOSTS must be the names by which this server is called, such as badger.lan,badger.example.')
    .optional(),
  /** Where the database keeps its files, if that is on this computer: to say when the disk is full. */
  DATA_DIR: z.string().min(1).optional(),
  BACKUP_DIR: z.string().min(1).optional(),
  BACKUP_EVERY_HOURS: z.coerce
    .number('BACKUP_EVERY_HOURS must be a number.')
    .min(1, 'BACKUP_EVERY_HOURS must be 1 or more.')
    .max(720)
    .default(24),
  BACKUP_KEEP: z.coerce.number('BACKUP_KEEP must be a number.').int().min(1, 'BACKUP_KEEP must be 1 or more.').max(1000).default(30),
  SEED_DEMO: z.enum(['0', '1'], 'SEED_DEMO must be 1 to lay the demo world into an empty database, or 0.').default('0'),
  LOG_LEVEL: z
    .enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent'], 'LOG_LEVEL must be fatal, error, warn, info, debug or silent.')
    .default('info'),
});
const schema = settings.refine(
  ({ TLS_CERT_FILE, TLS_KEY_FILE }) => (TLS_CERT_FILE === undefined) === (TLS_KEY_FILE === undefined),
  'TLS_CERT_FILE and TLS_KEY_FILE belong together: give both, or neither.',
);
export type Config = z.infer<typeof schema>;

/** Reads the environment once. Throws one sentence per wrong setting; nothing is guessed. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const parsed = schema.safeParse(env);
  if (parsed.success) return parsed.data;
  throw new Error(parsed.error.issues.map(({ message }) => message).join('\n'));
}
