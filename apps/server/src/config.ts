import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

const schema = z.object({
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
  SEED_DEMO: z.enum(['0', '1'], 'SEED_DEMO must be 1 to lay the demo world into an empty database, or 0.').default('0'),
  LOG_LEVEL: z
    .enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent'], 'LOG_LEVEL must be fatal, error, warn, info, debug or silent.')
    .default('info'),
});
export type Config = z.infer<typeof schema>;

/** Reads the environment once. Throws one sentence per wrong setting; nothing is guessed. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const parsed = schema.safeParse(env);
  if (parsed.success) return parsed.data;
  throw new Error(parsed.error.issues.map(({ message }) => message).join('\n'));
}
