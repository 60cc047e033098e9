import { t } from '@patient-badger/wording/server';
import { createWriteStream } from 'node:fs';
import { createInterface } from 'node:readline/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { openDataSource } from '../dataSource.ts';
import { writeAudit } from '../people/audit.ts';
import { hashSecret, refuseWeakPassphrase } from '../people/secrets.ts';
import { endSessionsOf } from '../people/sessions.ts';
import { people, shops } from '../people/entities.ts';
import { PASSPHRASE_LEAST } from '@patient-badger/contract';
import { restoreBackup, writeBackup } from './backup.ts';
import { exportShop } from './shopOut.ts';
import { importShop } from './shopIn.ts';

/** What whoever runs the computer does beside the server: `npm run backup`, `restore`, `export`, `import`, `passphrase`. */
const [command, about = ''] = process.argv.slice(2);
const url = process.env.DATABASE_URL ?? '';

const stamp = () => new Date().toISOString().slice(0, 19).replaceAll(':', '-');

const COMMANDS: Readonly<Record<string, () => Promise<string>>> = {
  backup: async () => {
    const file = about || `patient-badger-${stamp()}Z.backup`;
    const size = await writeBackup(url, file);
    return t.backupWrittenMb(file, (size / 1e6).toFixed(1));
  },
  restore: async () => {
    needFile('restore');
    const { madeAt } = await restoreBackup(url, about);
    await (await openDataSource(url)).destroy();
    return t.restoredAsItWasOn(madeAt);
  },
  export: async () => {
    const dataSource = await openDataSource(url);
    const [shop] = await dataSource.getRepository(shops).find({ order: { id: 'ASC' }, take: 1 });
    if (!shop) throw new Error(t.thereIsNoShopIn);
    const file = about || `shop-${stamp()}Z.zip`;
    await pipeline(Readable.from(exportShop(dataSource, shop.id)), createWriteStream(file, { flags: 'wx', mode: 0o600 }));
    await dataSource.destroy();
    return t.writtenOut(shop.name, file);
  },
  import: async () => {
    needFile('import');
    const { rows, photos } = await importShop(url, about);
    return t.broughtInRowsAndPhotos(rows, photos);
  },
  passphrase: async () => {
    if (!about) throw new Error(t.sayWhose);
    const dataSource = await openDataSource(url);
    const person = await dataSource
      .getRepository(people)
      .createQueryBuilder('p')
      .where('lower(p.name) = lower(:about)', { about })
      .getOne();
    if (!person) throw new Error(t.nobodyCalled(about));
    const given = await ask(t.aNewPassphraseForAt(person.name, PASSPHRASE_LEAST));
    if (given.length < PASSPHRASE_LEAST) throw new Error(t.fewerLetters(PASSPHRASE_LEAST));
    refuseWeakPassphrase(given, [person.name]);
    const passphrase = await hashSecret(given);
    await dataSource.transaction(async (manager) => {
      await manager.update(people, { id: person.id }, { passphrase, vouchedSince: new Date() });
      await endSessionsOf(manager, { shopId: person.shopId, personId: person.id });
      await writeAudit(manager, { shopId: person.shopId, by: null, what: 'passphraseReset', about: person.name });
    });
    await dataSource.destroy();
    return t.signsInWithTheNew(person.name);
  },
};

function needFile(name: string): void {
  if (!about) throw new Error(t.sayWhichFile(name));
}

async function ask(question: string): Promise<string> {
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await lines.question(question);
  lines.close();
  return answer.trim();
}

const run = COMMANDS[command ?? ''];
try {
  if (!run) throw new Error(t.sayWhat(Object.keys(COMMANDS).join(', ')));
  console.log(await run());
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
