const t0 = performance.now();
import { testServer } from './testing.ts';
test('x', async () => {
  const t1 = performance.now();
  const s = await testServer();
  const t2 = performance.now();
  await s.stop();
  console.log('import', t1 - t0, 'server', t2 - t1, 'stop', performance.now() - t2);
});
