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
    return `Backup written: ${file}, ${(size / 1e6).toFixed(1)} MB.`;
  },
  restore: async () => {
    needFile('restore');
    const { madeAt } = await restoreBackup(url, about);
    await (await openDataSource(url)).destroy();
    return `Restored, as it was on ${madeAt}.`;
  },
  export: async () => {
    const dataSource = await openDataSource(url);
    const [shop] = await dataSource.getRepository(shops).find({ order: { id: 'ASC' }, take: 1 });
    if (!shop) throw new Error('There is no shop in this database yet.');
    const file = about || `shop-${stamp()}Z.zip`;
    await pipeline(Readable.from(exportShop(dataSource, shop.id)), createWriteStream(file, { flags: 'wx', mode: 0o600 }));
    await dataSource.destroy();
    return `${shop.name} written out: ${file}.`;
  },
  import: async () => {
    needFile('import');
    const { rows, photos } = await importShop(url, about);
    return `Brought in: ${rows} rows and ${photos} photos. Now give an owner a passphrase: npm run passphrase -- NAME`;
  },
  passphrase: async () => {
    if (!about) throw new Error('Say whose: npm run passphrase -- NAME');
    const dataSource = await openDataSource(url);
    const person = await dataSource
      .getRepository(people)
      .createQueryBuilder('p')
      .where('lower(p.name) = lower(:about)', { about })
      .getOne();
    if (!person) throw new Error(`Nobody called ${about} is in the book.`);
    const given = await ask(`A new passphrase for ${person.name}, at least ${PASSPHRASE_LEAST} letters: `);
    if (given.length < PASSPHRASE_LEAST) throw new Error(`That has fewer than ${PASSPHRASE_LEAST} letters; nothing was changed.`);
    refuseWeakPassphrase(given, [person.name]);
    const passphrase = await hashSecret(given);
    await dataSource.transaction(async (manager) => {
      await manager.update(people, { id: person.id }, { passphrase, vouchedSince: new Date() });
      await endSessionsOf(manager, { shopId: person.shopId, personId: person.id });
      await writeAudit(manager, { shopId: person.shopId, by: null, what: 'passphraseReset', about: person.name });
    });
    await dataSource.destroy();
    return `${person.name} signs in with the new passphrase; everything they had signed in is signed out.`;
  },
};

function needFile(name: string): void {
  if (!about) throw new Error(`Say which file: npm run ${name} -- FILE`);
}

async function ask(question: string): Promise<string> {
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await lines.question(question);
  lines.close();
  return answer.trim();
}

const run = COMMANDS[command ?? ''];
try {
  if (!run) throw new Error(`Say what: ${Object.keys(COMMANDS).join(', ')}.`);
  console.log(await run());
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
