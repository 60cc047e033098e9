import { readdir, readFile, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

// node scripts/pack.js OUT: lays a brotli and a gzip copy beside each file of an exported app that gets smaller by it.
const PACKED = new Set(['.html', '.js', '.css', '.svg', '.json', '.webmanifest', '.txt']);
const out = process.argv[2];
const packers = [
  ['br', (bytes) => promisify(brotliCompress)(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } })],
  ['gz', (bytes) => promisify(gzip)(bytes, { level: constants.Z_BEST_COMPRESSION })],
];
for (const file of await readdir(out, { recursive: true })) {
  if (!PACKED.has(extname(file))) continue;
  const bytes = await readFile(join(out, file));
  if (bytes.length < 1024) continue;
  for (const [ending, pack] of packers) await writeFile(join(out, `${file}.${ending}`), await pack(bytes));
}
