import { build, type Plugin } from 'esbuild';
import { copyFileSync, existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { pack, packedPath } from '../apps/server/src/threads/packed.ts';

/**
 * tsx scripts/buildServer.ts: the server as one file, and beside it each module that it runs on a thread, so that it is
 * up in a second or two. `npm run dev` goes on running the sources.
 */
const SOURCES = 'apps/server/src';
const OUT = 'apps/server/dist';

/** Packages of others stay where npm laid them. */
const packagesOfOthers: Plugin = {
  name: 'packages-of-others',
  setup: ({ onResolve }) =>
    onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@patient-badger/') ? undefined : { path, external: true })),
};

rmSync(OUT, { recursive: true, force: true });
const { metafile } = await build({
  entryPoints: [join(SOURCES, 'main.ts')],
  outdir: OUT,
  metafile: true,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  legalComments: 'none',
  logLevel: 'warning',
  plugins: [packagesOfOthers],
});

/** What a module sends to a thread it names beside itself: `new URL('./readPhoto.ts', import.meta.url)`. */
const SENT = /\(new URL\('(\.\/\w+\.ts)', import\.meta\.url\)/g;
const sent = Object.keys(metafile.inputs).flatMap((source) =>
  [...readFileSync(source, 'utf8').matchAll(SENT)].map(([, name = '']) => join(dirname(source), name)).filter((path) => existsSync(path)),
);
for (const path of sent) writeFileSync(join(OUT, packedPath(basename(path))), await pack(path));
for (const name of ['thread.js', 'pooled.js', 'run.js']) copyFileSync(join(SOURCES, 'threads', name), join(OUT, name));
