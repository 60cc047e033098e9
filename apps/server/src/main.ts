import { t } from '@patient-badger/wording/server';
import { renderUnicodeCompact } from 'uqr';
import { buildApp } from './app.ts';
import type { ProblemCode } from '@patient-badger/contract';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { readConfig, type Config } from './config.ts';
import { NewerDatabase, openDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';
import { newSetupCode } from './entrance/routes.ts';
import { isDatabaseAway } from './plugins/databaseErrors.ts';
import { buildStandstill } from './standstill.ts';
import { phoneAddress } from './shop/address.ts';
import { shops } from './people/entities.ts';

/** The database of a shop starts with the machine, and may take longer than this server. */
const TRY_AGAIN_MS = 2000;

/** Opens the database; until it is there the server answers that it is not, and for good where a newer program made it. */
async function whenThere(config: Config): Promise<DataSource> {
  let standing: FastifyInstance | undefined;
  let why: ProblemCode = 'databaseAway';
  const stand = async (code: ProblemCode, said: string) => {
    why = code;
    if (standing) return;
    console.error(said);
    standing = await buildStandstill(config, () => why);
    await standing.listen({ host: config.HOST, port: config.PORT });
  };
  for (;;) {
    try {
      const dataSource = await openDataSource(config.DATABASE_URL, async (fresh) =>
        config.SEED_DEMO === '1' ? seedDemo(fresh) : undefined,
      );
      await standing?.close();
      return dataSource;
    } catch (error) {
      if (error instanceof NewerDatabase) await stand('newerDatabase', error.message);
      else if (isDatabaseAway(error)) await stand('databaseAway', t.theDatabaseDoesNotAnswer);
      else throw error;
      await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
    }
  }
}

try {
  const config = readConfig(process.env);
  const dataSource = await whenThere(config);
  const setupCode = newSetupCode();
  const app = await buildApp(config, dataSource, setupCode);
  const stop = async () => {
    await app.close();
    await dataSource.destroy();
    process.exit(0);
  };
  for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => void stop());
  const address = await app.listen({ host: config.HOST, port: config.PORT });
  console.log(t.isAt(address));
  const onPhones = phoneAddress(config, config.PORT);
  if (onPhones) console.log(`${renderUnicodeCompact(onPhones)}\n${t.onPhones(onPhones)}`);
  if ((await dataSource.getRepository(shops).count()) === 0) console.log(t.makeTheShopAt(`${onPhones ?? address}/?code=${setupCode}`));
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
