import { text } from 'node:stream/consumers';
import { CoreFailure } from '@patient-badger/core';
import { failureSentence } from '@patient-badger/wording';
import { OPERATION_SUMMARIES } from '@patient-badger/wording/operations';
import { operations } from './operations.ts';

// npm run -s op -- NAME < input.json : one operation from the command line.
const name = process.argv[2];
if (!name) {
  console.error(
    `Give the name of an operation:\n${operations.list.map((each) => `  ${each.name}  ${OPERATION_SUMMARIES[each.name]}`).join('\n')}`,
  );
  process.exit(2);
}
try {
  console.log(JSON.stringify(operations.runNamed(name, JSON.parse(await text(process.stdin))), null, 2));
} catch (error) {
  if (error instanceof CoreFailure)
    console.error(JSON.stringify({ error: error.path, code: error.code, sentence: failureSentence(error) }));
  else console.error(error instanceof SyntaxError ? `The input is not JSON: ${error.message}` : error);
  process.exit(1);
}
