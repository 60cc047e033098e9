import { buildApp } from './app.ts';
import { readConfig } from './config.ts';
import { createDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';

try {
  const config = readConfig(process.env);
  const dataSource = await createDataSource(config.DATABASE_URL).initialize();
  await dataSource.runMigrations();
  if (config.SEED_DEMO === '1') await seedDemo(dataSource);
  const app = await buildApp(config, dataSource);
  const stop = async () => {
    await app.close();
    await dataSource.destroy();
    process.exit(0);
  };
  for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => void stop());
  const address = await app.listen({ host: config.HOST, port: config.PORT });
  console.log(`Patient Badger is at ${address}`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
