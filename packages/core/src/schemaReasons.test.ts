import { familyIds, findFamily } from '@patient-badger/knowledge';
import { createOperations } from './operations.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });

// The contract's own reasons are held beside it, in packages/contract/src/reasons.test.ts.
test.each([
  ['practice.look', { practice: 'A saw', taken: [], look: 'oil-plug' }, 'practice', 'notPractice'],
  ['scan.teeth', { width: 200, height: 200, rgba: new Uint16Array(4) }, 'rgba', 'notPixels'],
] as const)('%s refuses with the reason of its schema', (op, input, path, reason) => {
  expect(() => operations.runNamed(op, input)).toThrow(
    expect.objectContaining({ path, detail: expect.objectContaining({ reason }) as object }),
  );
});
