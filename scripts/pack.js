import { Buffer } from 'node:buffer';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { minify } from 'terser';

// node scripts/pack.js OUT: names the locals of each script of an exported app once over the whole file, where the bundler
// named them module by module, and lays a brotli and a gzip copy beside each file that gets smaller by it.
const PACKED = new Set(['.html', '.js', '.css', '.svg', '.json', '.webmanifest', '.txt']);
const out = process.argv[2];
const packers = [
  ['br', (bytes) => promisify(brotliCompress)(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } })],
  ['gz', (bytes) => promisify(gzip)(bytes, { level: constants.Z_BEST_COMPRESSION })],
];
for (const file of await readdir(out, { recursive: true })) {
  if (!PACKED.has(extname(file))) continue;
  const read = await readFile(join(out, file));
  const bytes = extname(file) === '.js' && file.startsWith('_expo') ? await named(file, read) : read;
  if (bytes.length < 1024) continue;
  for (const [ending, pack] of packers) await writeFile(join(out, `${file}.${ending}`), await pack(bytes));
}

async function named(file, script) {
  const format = { ecma: 2020, ascii_only: false, comments: false };
  const { code = '' } = await minify(script.toString(), { ecma: 2020, compress: false, mangle: true, format });
  await writeFile(join(out, file), code);
  return Buffer.from(code);
}
