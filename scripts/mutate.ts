import { execFileSync, spawn } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { commonTokens } from '@stryker-mutator/api/plugin';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';
import { seeded } from '@patient-badger/core';

/**
 * Breaks the code in small ways and counts how often a test notices.
 *
 *   npm run mutate [-- TARGET… [--sample N] [--seeds N] [--near]]   (default: the figures that can hurt, 300 mutants, three seeds)
 *   npm run mutate -- all                                    (these and every folder of core and server)
 *
 * `--near` runs only the tests beside the targets and the golden cases: minutes for hours, and a lower bound.
 *
 * The whole would run for days, so each target is tried on random samples, seeded by the commit with 1, 2 and 3 added, and
 * the three are averaged: nobody can write tests for a sample that is known beforehand. Figures go to docs/testing.md by hand,
 * survivors that change nothing with why.
 */
interface Target {
  readonly files: string;
  readonly only?: string;
  readonly project: string;
  /** So many of a hundred mutants are to be noticed. */
  readonly wanted: number;
}

const CORE = 'packages/core/src';
const SERVER = 'apps/server/src';
/** A wrong figure here breaks a thread, a gear or a bone, or lets somebody in. */
const SAFETY: Readonly<Record<string, readonly [folder: string, file?: string]>> = {
  torque: [`${CORE}/setup`, 'torque.ts'],
  chain: [`${CORE}/strength`, 'chain.ts'],
  eccentric: [`${CORE}/setup`, 'eccentric.ts'],
  speedometer: [`${CORE}/prove`, 'speedometer.ts'],
  press: [`${CORE}/fit`, 'press.ts'],
  closing: [`${CORE}/job`, 'obstacles.ts'],
  secondCheck: [`${CORE}/job`, 'secondCheck.ts'],
  gate: [`${SERVER}/jobs`, 'gate.ts'],
  signIn: [`${SERVER}/people`],
};

const projectOf = (folder: string) => (folder.startsWith(SERVER) ? 'server' : 'core');
const foldersOf = (root: string) =>
  readdirSync(root, { withFileTypes: true }).filter((each) => each.isDirectory() && !each.name.startsWith('__'));
const TARGETS: Readonly<Record<string, Target>> = {
  ...Object.fromEntries(
    [CORE, SERVER].flatMap((root) =>
      foldersOf(root).map(({ name }) => [
        `${root === SERVER ? 'server' : 'core'}/${name}`,
        { files: join(root, name), project: projectOf(root), wanted: 80 },
      ]),
    ),
  ),
  ...Object.fromEntries(
    Object.entries(SAFETY).map(([name, [files, only]]) => [name, { files, ...(only && { only }), project: projectOf(files), wanted: 90 }]),
  ),
};
/** The commit as a number: samples differ from commit to commit. */
const COMMIT = Number.parseInt(execFileSync('git', ['rev-parse', 'HEAD'], { encoding: 'utf8' }).slice(0, 7), 16);
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

function sampleOf(places: readonly Place[], wanted: number, seed: number): readonly string[] {
  const random = seeded(COMMIT + seed);
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

/** Where a target's mutants are. */
const isOf = ({ files, only }: Target, file: string): boolean =>
  only === undefined ? file.startsWith(`${files}/`) : file === join(files, only);

/** Tests beside the targets, and the golden cases: what only others notice counts as missed then. */
const nearTo = (targets: readonly Target[]): string =>
  [...new Set(targets.map(({ files }) => `${files}/.*\\.test\\.ts$`)), '/goldenCases\\.test\\.ts$'].join('|');

interface Draw {
  readonly sample: number;
  readonly seed: number;
  /** Only the tests beside. */
  readonly near: boolean;
}

/** The share of a sample that tests noticed, in per cent, of each target of one project; they share the first run of all tests. */
async function run(names: readonly string[], { sample, seed, near }: Draw): Promise<ReadonlyMap<string, number>> {
  const targets = names.map((name) => TARGETS[name] as Target);
  const [{ project }] = targets as [Target];
  const samples = await Promise.all(targets.map(async ({ files, only }) => sampleOf(await placesIn(files, only), sample, seed)));
  await mkdir('.cache/mutate', { recursive: true });
  const base = `.cache/mutate/${project}-${seed}`;
  const [report, config] = [`${base}.json`, `${base}.conf.json`];
  await writeFile(
    config,
    JSON.stringify({
      mutate: [...new Set(samples.flat())],
      testRunner: 'jest',
      jest: { projectType: 'custom', configFile: 'jest.mutate.cjs', enableFindRelatedTests: !near },
      // Few tests are run whole sooner than it is found out which of them see a mutant.
      coverageAnalysis: near ? 'off' : 'perTest',
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
    const env = { ...process.env, MUTATE_PROJECT: project, ...(near && { MUTATE_TESTS: nearTo(targets) }) };
    const child = spawn('npx', ['stryker', 'run', config], { stdio: 'inherit', env });
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`the run of ${project} ended with ${code}`))));
  });
  const { files } = JSON.parse(await readFile(report, 'utf8')) as {
    files: Record<
      string,
      { mutants: { status: string; location: { start: { line: number } }; mutatorName: string; replacement?: string }[] }
    >;
  };
  const all = Object.entries(files).flatMap(([file, { mutants }]) => mutants.map((mutant) => ({ file, ...mutant })));
  for (const { file, status, location, mutatorName, replacement } of all)
    if (status === 'Survived' || status === 'NoCoverage')
      console.log(
        `  ${status === 'Survived' ? 'survived' : 'not run'}  ${file}:${location.start.line} ${mutatorName} → ${(replacement ?? '').slice(0, 60).replace(/\s+/g, ' ')}`,
      );
  const shareOf = (target: Target): number => {
    const own = all.filter(({ file }) => isOf(target, file));
    const count = (...statuses: string[]) => own.filter(({ status }) => statuses.includes(status)).length;
    const [noticed, missed] = [count('Killed', 'Timeout'), count('Survived', 'NoCoverage')];
    return (100 * noticed) / Math.max(1, noticed + missed);
  };
  return new Map(names.map((name, i) => [name, shareOf(targets[i] as Target)]));
}

const given = process.argv.slice(2).filter((each) => each !== '--');
const flags = ['--sample', '--seeds'];
const flagOf = (flag: string, usual: number) => (given.includes(flag) ? Number(given[given.indexOf(flag) + 1]) : usual);
const [sample, seeds] = [flagOf('--sample', 300), flagOf('--seeds', 3)];
const named = given.filter((word, i) => !word.startsWith('--') && !flags.includes(given[i - 1] ?? ''));
const names = named.length === 0 ? Object.keys(SAFETY) : named.flatMap((each) => (each === 'all' ? Object.keys(TARGETS) : each));
for (const name of names) if (!TARGETS[name]) throw new Error(`There is no target ${name}. Known: ${Object.keys(TARGETS).join(', ')}.`);
const near = given.includes('--near');
const shares = new Map<string, number[]>(names.map((name) => [name, []]));
for (const project of new Set(names.map((name) => TARGETS[name]?.project)))
  for (let seed = 1; seed <= seeds; seed++) {
    const together = names.filter((name) => TARGETS[name]?.project === project);
    for (const [name, share] of await run(together, { sample, seed, near })) shares.get(name)?.push(share);
  }
for (const [name, list] of shares) {
  const mean = list.reduce((sum, share) => sum + share, 0) / list.length;
  console.log(
    `${name}: ${mean.toFixed(1)} % noticed (${TARGETS[name]?.wanted} wanted; ${list.map((share) => share.toFixed(1)).join(', ')})`,
  );
}
