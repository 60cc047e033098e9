import { familyIds, findFamily } from '@patient-badger/knowledge';
import { z } from 'zod';
import { contractText } from './contractText.ts';
import { entry } from './job/entry.ts';
import { createOperations } from './operations.ts';
import { packSchema } from './trace/pack.ts';

// What others send and keep: a field, a bound, a default or a word that changes here changes their files too.
// Where that is meant, take the snapshot anew (-u) and say so in the changelog.
// A family file is handed to several operations; it stands in the snapshot once.
const families = z.registry<{ id: string }>();
families.add(packSchema, { id: 'family' });
const textOf = (of: z.ZodType, io: 'input' | 'output') =>
  `\n${contractText(z.toJSONSchema(of, { io, unrepresentable: 'any', metadata: families }))}\n`;

test.each(createOperations({ find: findFamily, ids: familyIds }).list)('$name takes and gives what it promised', ({ input, output }) => {
  expect(textOf(input, 'input')).toMatchSnapshot('in');
  expect(textOf(output, 'output')).toMatchSnapshot('out');
});

test('an entry is what devices have written so far', () => expect(textOf(entry, 'input')).toMatchSnapshot());
test('a family file has what it had', () => {
  families.remove(packSchema);
  expect(textOf(packSchema, 'input')).toMatchSnapshot();
});
