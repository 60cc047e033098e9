import { spawn } from 'node:child_process';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { commonTokens } from '@stryker-mutator/api/plugin';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';
import { seeded } from '@patient-badger/core';

/**
 * Breaks the code in small ways and counts how often a test notices.
 *
 *   npm run mutate [-- FOLDER… [--sample N]]     (default: all targets, 300 mutants each)
 *
 * The whole would run for hours, so each target is tried on a fixed random sample: the same seed, the same
 * mutants, as long as the code is the same. Figures go to docs/testing.md by hand.
 */
const TARGETS: Readonly<Record<string, { readonly files: string; readonly only?: string; readonly project: string }>> = {
  ...Object.fromEntries(
    ['inference', 'trace', 'gear', 'ratio', 'match', 'job'].map((folder) => [
      folder,
      { files: `packages/core/src/${folder}`, project: 'core' },
    ]),
  ),
  store: { files: 'apps/server/src/jobs', only: 'store.ts', project: 'server' },
};
/** A range that holds more mutants than this is a whole function: its parts are drawn instead. */
const MOST_IN_RANGE = 4;

interface Place {
  readonly file: string;
  readonly range: string;
  readonly mutants: number;
}

async function placesIn(folder: string, only?: string): Promise<readonly Place[]> {
  const files = (await readdir(folder, { recursive: true }))
    .filter((each) => each.endsWith('.ts') && !each.endsWith('.test.ts') && (only === undefined || each === only))
    .map((each) => join(folder, each))
    .sort();
  const silent = new Proxy<object>({}, { get: () => () => false });
  const injector = createInjector().provideValue(commonTokens.logger, silent) as unknown;
  const instrumenter = createInstrumenter(injector as Parameters<typeof createInstrumenter>[0]);
  const list: Place[] = [];
  for (const file of files) {
    const { mutants } = await instrumenter.instrument([{ name: file, content: await readFile(file, 'utf8'), mutate: true }], {
      ignorers: [],
      excludedMutations: [],
      plugins: ['typescript'],
      noHeader: false,
    });
    const spots = new Map(
      mutants.map(({ location }) => [
        `${location.start.line}:${location.start.column}-${location.end.line}:${location.end.column}`,
        location,
      ]),
    );
    for (const [, { start, end }] of spots) {
      const at = (line: number, column: number) => line * 1000 + column;
      const within = mutants.filter(
        ({ location }) =>
          at(location.start.line, location.start.column) >= at(start.line, start.column) &&
          at(location.end.line, location.end.column) <= at(end.line, end.column),
      ).length;
      // Stryker counts lines from one and columns from nought.
      if (within <= MOST_IN_RANGE)
        list.push({ file, range: `${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`, mutants: within });
    }
  }
  return list;
}

function sampleOf(places: readonly Place[], wanted: number): readonly string[] {
  const random = seeded(2026);
  const shuffled = places.map((place) => ({ place, key: random() })).sort((p, q) => p.key - q.key);
  const chosen: string[] = [];
  let mutants = 0;
  for (const { place } of shuffled) {
    if (mutants >= wanted) break;
    chosen.push(`${place.file}:${place.range}`);
    mutants += place.mutants;
  }
  return chosen;
}

async function run(name: string, sample: number): Promise<string> {
  const target = TARGETS[name];
  if (!target) throw new Error(`There is no target ${name}. Known: ${Object.keys(TARGETS).join(', ')}.`);
  const mutate = sampleOf(await placesIn(target.files, target.only), sample);
  await mkdir('.cache/mutate', { recursive: true });
  const report = `.cache/mutate/${name}.json`;
  const config = `.cache/mutate/${name}.conf.json`;
  await writeFile(
    config,
    JSON.stringify({
      mutate,
      testRunner: 'jest',
      jest: { projectType: 'custom', configFile: 'jest.mutate.cjs', enableFindRelatedTests: true },
      coverageAnalysis: 'perTest',
      plugins: ['@stryker-mutator/jest-runner'],
      reporters: ['json'],
      jsonReporter: { fileName: report },
      tempDirName: '.cache/stryker',
      ignorePatterns: ['.data', '.cache', 'test-output', 'docs', 'apps/web', 'e2e'],
      concurrency: 2,
      timeoutMS: 20_000,
      allowEmpty: true,
    }),
  );
  await new Promise<void>((resolve, reject) => {
    const child = spawn('npx', ['stryker', 'run', config], { stdio: 'inherit', env: { ...process.env, MUTATE_PROJECT: target.project } });
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`the run of ${name} ended with ${code}`))));
  });
  const { files } = JSON.parse(await readFile(report, 'utf8')) as {
    files: Record<
      string,
      { mutants: { status: string; location: { start: { line: number } }; mutatorName: string; replacement?: string }[] }
    >;
  };
  const all = Object.entries(files).flatMap(([file, { mutants }]) => mutants.map((each) => ({ file, ...each })));
  const count = (...statuses: string[]) => all.filter(({ status }) => statuses.includes(status)).length;
  const [noticed, missed] = [count('Killed', 'Timeout'), count('Survived', 'NoCoverage')];
  for (const { file, status, location, mutatorName, replacement } of all)
    if (status === 'Survived' || status === 'NoCoverage')
      console.log(
        `  ${status === 'Survived' ? 'survived' : 'not run'}  ${file}:${location.start.line} ${mutatorName} → ${(replacement ?? '').slice(0, 60).replace(/\s+/g, ' ')}`,
      );
  return `${name}: ${noticed} of ${noticed + missed} noticed, ${((100 * noticed) / Math.max(1, noticed + missed)).toFixed(1)} %`;
}

const given = process.argv.slice(2).filter((each) => each !== '--');
const sizeAt = given.indexOf('--sample');
const sample = sizeAt < 0 ? 300 : Number(given[sizeAt + 1]);
const names = given.filter((_, i) => sizeAt < 0 || (i !== sizeAt && i !== sizeAt + 1));
const lines: string[] = [];
for (const name of names.length > 0 ? names : Object.keys(TARGETS)) lines.push(await run(name, sample));
console.log(lines.join('\n'));
