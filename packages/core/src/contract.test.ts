import { familyIds, findFamily } from '@patient-badger/knowledge';
import { z } from 'zod';
import { entry } from './job/entry.ts';
import { createOperations } from './operations.ts';

// What others send and keep: a field, a bound, a default or a word that changes here changes their files too.
// Where that is meant, take the snapshot anew (-u) and say so in the changelog.
const schemaOf = (of: z.ZodType, io: 'input' | 'output') => z.toJSONSchema(of, { io, unrepresentable: 'any', reused: 'ref' });

test.each(
  createOperations({ find: findFamily, ids: familyIds }).list.filter(({ name }) => name !== 'trace.next' && name !== 'access.plan'),
)('$name takes and gives what it promised', ({ summary, input, output }) => {
  expect({ summary, input: schemaOf(input, 'input'), output: schemaOf(output, 'output') }).toMatchSnapshot();
});

test('an entry is what devices have written so far', () => expect(schemaOf(entry, 'input')).toMatchSnapshot());
