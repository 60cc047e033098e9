import { t as log } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import { PNG } from 'pngjs';
import { arrive, button, takeIn, takePhoto } from '../../e2e/actions.ts';
import { box, comeIn, phone, provenAll, record } from './device.ts';
import { openShop } from './shopServer.ts';
import { pause, until, type Campaign, type Tally } from './tally.ts';

/** The browser killed within 0 to 800 ms of a press, of a photo, and of the answer to it. */
export async function browserKilled({ rounds, database }: Campaign): Promise<Tally> {
  const { url, server, tally, random } = await openShop(database, 42);
  const device = await phone();
  let page = await device.open(server.address);
  await arrive(page, server.address, 'Tobin');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  const job = /\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? '';
  let photos = 0;

  for (let round = 0; round < rounds; round++) {
    const text = `killed ${round}`;
    const [withPhoto, afterIt] = [round % 4 > 1, round % 2 === 1];
    await page.goto(`${server.address}${job}/${withPhoto ? 'look/tank-level' : 'log'}`);
    await comeIn(page, 'Tobin');
    const line = page.getByTestId('entry').filter({ hasText: text }).first();
    const kept = () => (withPhoto ? box(page).then(({ waiting }) => waiting > 0) : line.isVisible());
    if (withPhoto) await takePhoto(page, 'tank.png', picture(round));
    else {
      await page.getByLabel(log.remark).fill(text);
      await button(page, shared.writeItDown).click();
    }
    // Every other time the clock runs from when it is shown as kept: then it must be there after the kill.
    const shown = afterIt && (await until(kept, 10_000));
    await pause(random() * 800);
    const wasKept = shown || (await kept().catch(() => false));
    await device.kill();
    page = await device.open(`${server.address}${job}/log`);
    await comeIn(page, 'Tobin');
    if (!(await until(() => provenAll(page), 30_000))) tally.stuck++;
    tally.stuck += (await box(page)).aside;
    const now = await record(url);
    const count = withPhoto ? now.photos - photos : (now.texts.get(text) ?? 0);
    photos = now.photos;
    tally.rounds++;
    tally.written += Math.min(1, count);
    if (wasKept && count === 0) tally.lost++;
    tally.doubled += Math.max(0, count - 1) + (now.photos - now.hashes);
  }
  await device.kill();
  await device.forget();
  tally.crashes = server.crashes();
  server.kill();
  return tally;
}

/** A picture of which there is one for each round. */
function picture(round: number): Buffer {
  const image = new PNG({ width: 640, height: 480 });
  for (let i = 0; i < image.data.length; i++) image.data[i] = i % 4 === 3 ? 255 : (i * 7 + round * 13) % 251;
  return PNG.sync.write(image);
}
