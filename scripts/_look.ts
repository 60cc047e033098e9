import { arrive, button, link, radio } from '../e2e/bench.ts';
import { PHONE, raise } from '../e2e/stage.ts';
const stage = await raise();
try {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await page.screenshot({ path: '/tmp/look/home.png' });
  await button(page, 'Ratios').click();
  const fill = (name: string, text: string) => page.getByTestId(`desk-${name}`).fill(text);
  await fill('tyre', '195/70R14'); await fill('published', '535'); await fill('rolledTurns', '10'); await fill('rolledMetres', '18.62');
  await fill('axleRatio', '3.90'); await fill('drive', '7, 8'); await fill('driven', '18-24'); await fill('nowDrive', '7'); await fill('nowDriven', '25');
  await page.waitForTimeout(400);
  await page.screenshot({ path: '/tmp/look/ratio1.png' });
  await page.getByTestId('reads-now').scrollIntoViewIfNeeded(); await page.mouse.move(195, 400); await page.mouse.wheel(0, 620); await page.waitForTimeout(400);
  await page.screenshot({ path: '/tmp/look/ratio2.png' });
  await page.mouse.wheel(0, 1200); await page.waitForTimeout(400);
  await page.screenshot({ path: '/tmp/look/ratio3.png' });
} finally { await stage.strike(); }
