import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { familyIds, findFamily } from '@patient-badger/knowledge';
import { runCases, type Case } from './cases.ts';
import { createOperations } from './operations.ts';

const folder = join(__dirname, '../cases');
const operations = createOperations({ find: findFamily, ids: familyIds });

describe.each(readdirSync(folder))('%s', (file) => {
  const cases = JSON.parse(readFileSync(join(folder, file), 'utf8')) as Case[];
  test.each(cases.map((each, i) => ({ i, each, name: `${each.op}${each.note ? `, ${each.note}` : ''}` })))('[$i] $name', ({ each }) => {
    expect(runCases(operations, [each])).toEqual([{ passed: true }]);
  });
});
