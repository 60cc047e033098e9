import { readFile } from 'node:fs/promises';
import { explainPack } from '@patient-badger/core/machine';
import { familyIds } from '@patient-badger/knowledge';
import { failureSentence, remarkSentence } from '@patient-badger/wording';

// npm run pack:check FILE…: what is wrong with a family file, in sentences. Exits non-zero where one cannot be used.
const files = process.argv.slice(2).filter((each) => each !== '--');
if (files.length === 0) {
  console.error('Name a family file: npm run pack:check my-family.json');
  process.exit(2);
}

const say = <Note extends { readonly path: string }>(head: string, notes: readonly Note[], worded: (note: Note) => string) => {
  if (notes.length > 0) console.log(`${head}\n${notes.map((note) => `  ${note.path || '(file)'}: ${worded(note)}`).join('\n')}`);
};

/** What stands in the file, or why it cannot be read. */
async function load(file: string): Promise<{ raw: unknown } | { why: string }> {
  try {
    return { raw: JSON.parse(await readFile(file, 'utf8')) };
  } catch (error) {
    return { why: error instanceof Error ? error.message : String(error) };
  }
}

let failed = 0;
for (const file of files) {
  const loaded = await load(file);
  if ('why' in loaded) {
    console.log(`${file}: cannot be read. ${loaded.why}`);
    failed++;
    continue;
  }
  const { pack, mistakes, remarks } = explainPack(loaded.raw);
  if (!pack) {
    failed++;
    say(`${file}: cannot be used yet.`, mistakes, failureSentence);
    continue;
  }
  const { id, driveline, faults, looks, steps } = pack;
  console.log(
    `${file}: "${id}" can be used: ${driveline.bodies.length} stations, ${faults.length} faults, ${looks.length} looks, ${steps.length} opening steps.`,
  );
  if (familyIds().includes(id)) console.log('  A family of that id ships with the app: give yours another before it is brought in.');
  say('  It would serve better if:', remarks, remarkSentence);
}
process.exit(failed > 0 ? 1 : 0);
