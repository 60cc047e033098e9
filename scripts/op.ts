import { text } from 'node:stream/consumers';
import { CoreFailure, sentence } from '@patient-badger/core';
import { operations } from '@patient-badger/knowledge';

// npm run -s op -- NAME < input.json : one operation from the command line.
const name = process.argv[2];
if (!name) {
  console.error(`Give the name of an operation:\n${operations.list.map((each) => `  ${each.name}  ${each.summary}`).join('\n')}`);
  process.exit(2);
}
try {
  console.log(JSON.stringify(operations.run(name, JSON.parse(await text(process.stdin))), null, 2));
} catch (error) {
  if (error instanceof CoreFailure) console.error(JSON.stringify({ error: error.path, code: error.code, sentence: sentence(error) }));
  else console.error(error instanceof SyntaxError ? `The input is not JSON: ${error.message}` : error);
  process.exit(1);
}
