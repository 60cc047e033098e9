import { readFile } from 'node:fs/promises';
import { runCases, type Case } from '@patient-badger/core';
import { operations } from './operations.ts';

// npm run -s cases -- FILE.json… : golden cases against the operations.
const files = process.argv.slice(2);
if (files.length === 0) {
  console.error('Give at least one case file.');
  process.exit(2);
}
let [passed, failed] = [0, 0];
for (const file of files) {
  const cases = JSON.parse(await readFile(file, 'utf8')) as Case[];
  runCases(operations, cases).forEach((result, i) => {
    if (result.passed) passed++;
    else {
      failed++;
      const { op, note } = cases[i] as Case;
      console.log(`${file} [${i}] ${op}${note ? ` (${note})` : ''} ${result.why}`);
    }
  });
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
