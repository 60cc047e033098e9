import { renderUnicodeCompact } from 'uqr';
import { buildApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';
import { newSetupCode } from './entrance/routes.ts';
import { isDatabaseAway } from './plugins/databaseErrors.ts';
import { phoneAddress } from './shop/address.ts';
import { shops } from './people/entities.ts';

/** The database of a shop starts with the machine, and may take longer than this server. */
const TRY_AGAIN_MS = 2000;

async function whenThere<T>(open: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await open();
    } catch (error) {
      if (!isDatabaseAway(error)) throw error;
      if (tries === 0) console.error('The database does not answer yet; waiting for it.');
      await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
    }
  }
}

try {
  const config = readConfig(process.env);
  const dataSource = await whenThere(() =>
    openDataSource(config.DATABASE_URL, async (fresh) => (config.SEED_DEMO === '1' ? seedDemo(fresh) : undefined)),
  );
  const setupCode = newSetupCode();
  const app = await buildApp(config, dataSource, setupCode);
  const stop = async () => {
    await app.close();
    await dataSource.destroy();
    process.exit(0);
  };
  for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => void stop());
  const address = await app.listen({ host: config.HOST, port: config.PORT });
  console.log(`Patient Badger is at ${address}`);
  const onPhones = phoneAddress(config, config.PORT);
  if (onPhones) console.log(`${renderUnicodeCompact(onPhones)}\nOn phones: ${onPhones}`);
  if ((await dataSource.getRepository(shops).count()) === 0) console.log(`Make the shop at ${onPhones ?? address}/?code=${setupCode}`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
