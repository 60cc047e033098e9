import { createOperations, type OperationInput } from '@patient-badger/core';
import { findFamily, familyIds } from '@patient-badger/knowledge';
import { checkPack } from './checkPack.ts';
import { packSchema, type Pack } from './pack.ts';
import { refusalOf, withOneRemedyEach } from '../testing.ts';

const { run } = createOperations({ find: findFamily, ids: familyIds });
const plan = (input: Omit<OperationInput<'work.plan'>, 'family'>, family = 'saw-oil-pump') => run('work.plan', { family, ...input });
const ids = ({ steps }: ReturnType<typeof plan>) => steps.map(({ id }) => id);

const copy = (id: string): Pack => packSchema.parse(JSON.parse(JSON.stringify(findFamily(id))));

test('a stripped worm, by hand off the family file: opened as far as the worm comes off, closed from inside out, clutch with its piece', () => {
  const found = plan({ chosen: [{ fault: 'worm-stripped', remedy: 'worm-new' }] });
  expect(found.steps.map(({ kind, ref }) => `${kind} ${ref}`)).toEqual([
    'open lead-off',
    'open cover-off',
    'open bar-off',
    'open piston-held',
    'open clutch-off',
    'open drum-off',
    'open plate-off',
    'open worm-out',
    'do worm-new/clean',
    'do worm-new/turn',
    'close clean-out',
    'close worm-on',
    'close spin-by-hand',
    'close plate-on',
    'close drum-on',
    'close clutch-on',
    'set clutch',
    'close cord-out',
    'close bar-on',
    'close cover-on',
    'prove hand-cord',
    'prove paper-proof',
    'prove dry-day',
  ]);
  // 0.5 + 1 + 1.5 + 2 + 3 + 1 + 0.5 + 1 in, 4 + 1 of work, 5 + 1 + 1 + 0.5 + 2 + 2 + 1 + 2 + 1 back, 1 + 1.5 proved; the day after counts in no time.
  expect(found.minutes).toBeCloseTo(10.5 + 5 + 15.5 + 2.5, 9);
  expect(found.elapsedMinutes).toBeCloseTo(found.minutes, 9);
  expect(found.minutesBack).toBeCloseTo(15.5, 9);
  expect(found.parts.map(({ gear }) => gear)).toEqual(['worm']);
  expect(found.settings).toEqual(['clutch']);
  expect(found.steps.at(-1)?.after).toEqual([{ task: 'prove:paper-proof', from: 'end', leastMinutes: 1440 }]);
});

test('what is open already is not opened again, and is closed all the same', () => {
  const found = plan({ chosen: [{ remedy: 'worm-cleaned' }], opened: ['lead-off', 'cover-off', 'bar-off'] });
  expect(ids(found).filter((id) => id.startsWith('open:'))).toEqual([
    'open:piston-held',
    'open:clutch-off',
    'open:drum-off',
    'open:plate-off',
  ]);
  expect(ids(found)).toContain('close:cover-on');
});

test('two faults are one plan: opened once, and not the sum of both', () => {
  const both = plan({
    chosen: [
      { fault: 'worm-stripped', remedy: 'worm-new' },
      { fault: 'filter-blocked', remedy: 'filter-new-remedy' },
    ],
  });
  const alone = [plan({ chosen: [{ remedy: 'worm-new' }] }), plan({ chosen: [{ remedy: 'filter-new-remedy' }] })];
  expect(ids(both).filter((id) => id === 'open:lead-off')).toHaveLength(1);
  expect(both.minutes).toBeLessThan(alone.reduce((sum, { minutes }) => sum + minutes, 0));
  // The tank runs out while the saw is opened.
  expect(both.elapsedMinutes).toBeCloseTo(both.minutes, 9);
  expect(ids(both)).toContain('wait:tank-drained');
});

test('a bond is pressed home when its solvent has gone, and nothing is closed before it holds', () => {
  const found = plan({ chosen: [{ fault: 'worm-loose', remedy: 'arm-bonded' }] });
  const at = (id: string) => ids(found).indexOf(id);
  expect(at('wait:arm-bonded/bond')).toBeGreaterThan(at('do:arm-bonded/bond'));
  expect(at('wait:arm-bonded/bond')).toBeLessThan(at('close:clean-out'));
  expect(found.elapsedMinutes).toBeCloseTo(found.minutes + 62, 9);
});

test('settings stand where they can be reached: a stand-off before the cover, what is measured over the whole after it, oil last', () => {
  const odometer = ids(plan({ chosen: [{ remedy: 'worm-new' }] }, 'dash-odometer-motor'));
  expect(odometer.indexOf('set:worm-off')).toBeLessThan(odometer.indexOf('close:back-on'));
  const box = ids(plan({ chosen: [{ remedy: 'worm-sector-pair' }] }, 'worm-steering-box'));
  const order = [
    'set:worm-float',
    'close:box-shut',
    'set:oil',
    'close:arm-on',
    'set:arm-nut',
    'close:link-on',
    'set:rocker-float',
    'set:sleeve',
    'set:rim',
    'set:lock',
    'close:down',
  ];
  expect(box.filter((id) => order.includes(id)).sort((p, q) => order.indexOf(p) - order.indexOf(q))).toEqual(
    box.filter((id) => order.includes(id)),
  );
});

test('what is done is left out; what is worth doing besides is done while it lies open', () => {
  const found = plan({
    chosen: [{ remedy: 'worm-new' }],
    besides: ['bearing-grease', 'bar-turn'],
    done: ['do:worm-new/clean', 'open:lead-off'],
    opened: ['lead-off'],
  });
  expect(ids(found)).not.toContain('do:worm-new/clean');
  expect(ids(found)).toEqual(expect.arrayContaining(['do:bearing-grease', 'do:bar-turn']));
  expect(found.steps.find(({ id }) => id === 'do:bearing-grease')?.after).toEqual([
    { task: 'open:drum-off', from: 'end', leastMinutes: 0 },
  ]);
});

test('two people are said where two are wanted', () => {
  const found = plan({ chosen: [{ fault: 'left-pinion', remedy: 'pinion-pack-left' }] }, 'slide-rack-drive');
  expect(found.steps.find(({ id }) => id === 'do:pinion-pack-left/in')?.hands).toBe(2);
  expect(found.steps.filter(({ kind }) => kind === 'wait').every(({ hands }) => hands === 0)).toBe(true);
});

test('without a fault of the list the remedies of the gear stand in; a file with one remedy only is planned by it', () => {
  expect(ids(plan({ chosen: [{ gear: 'worm', remedy: 'worm-new' }] }))).toContain('do:worm-new/turn');
  expect(refusalOf(() => plan({ chosen: [{ gear: 'worm', remedy: 'hose-new' }] }))).toMatchObject({
    code: 'unknownId',
    path: 'chosen.0.remedy',
  });
  const old = withOneRemedyEach(copy('saw-oil-pump'));
  const found = run('work.plan', {
    family: { ...old, id: 'own-saw' },
    chosen: [{ fault: 'worm-stripped', remedy: 'worm-stripped-as-written' }],
  });
  expect(found.steps.some(({ kind }) => kind === 'do')).toBe(true);
  expect(found.proofs).toEqual(['hand-cord', 'paper-proof', 'dry-day']);
});

test('a way that will not come is gone round, and where there is none it says so at what is stuck', () => {
  const round = plan({ chosen: [{ remedy: 'seal-new' }], stuck: ['over-pit'] }, 'speedometer-takeoff');
  expect(ids(round)).toContain('open:raised');
  expect(refusalOf(() => plan({ chosen: [{ remedy: 'worm-new' }], stuck: ['clutch-off'] }))).toMatchObject({
    code: 'noAnswer',
    path: 'stuck',
  });
  expect(refusalOf(() => plan({ chosen: [{ remedy: 'nothing' }] }))).toMatchObject({ path: 'chosen.0.remedy' });
  expect(refusalOf(() => plan({ chosen: [{ remedy: 'worm-new' }], besides: ['moon'] }))).toMatchObject({ path: 'besides.0' });
  expect(refusalOf(() => plan({ chosen: [{ remedy: 'worm-new' }], opened: ['moon'] }))).toMatchObject({ path: 'opened.0' });
});

describe('a family file whose remedies do not meet it is refused at its place', () => {
  const remedy = (pack: Pack) => pack.faults[7]?.remedies[1] as Pack['faults'][number]['remedies'][number];
  test.each<[string, (pack: Pack) => unknown, string]>([
    ['a step', (pack) => remedy(pack).needs.push('moon'), 'faults.7.remedies.1.needs.1'],
    ['a setting', (pack) => remedy(pack).settings.push('moon'), 'faults.7.remedies.1.settings.1'],
    ['a proof', (pack) => remedy(pack).proofs.push('moon'), 'faults.7.remedies.1.proofs.3'],
    ['a caution', (pack) => remedy(pack).work[0]?.cautions.push('moon'), 'faults.7.remedies.1.work.0.cautions.1'],
    ['a gear', (pack) => Object.assign(remedy(pack).parts[0] ?? {}, { gear: 'moon' }), 'faults.7.remedies.1.parts.0.gear'],
    ['a part without a name', (pack) => delete (remedy(pack).parts[0] as { gear?: string }).gear, 'faults.7.remedies.1.parts.0'],
    [
      'a price turned round',
      (pack) => Object.assign(remedy(pack).parts[0]?.guideHours ?? {}, { low: 3 }),
      'faults.7.remedies.1.parts.0.guideHours',
    ],
    ['a sum about nothing', (pack) => Object.assign(remedy(pack).checks[0] ?? {}, { about: 'moon' }), 'faults.7.remedies.1.checks.0.about'],
    ['something besides', (pack) => remedy(pack).besides.push({ remedy: 'moon', why: 'no' }), 'faults.7.remedies.1.besides.0.remedy'],
    ['another of its name', (pack) => (remedy(pack).id = 'pump-new'), 'faults.10.remedies.0.id'],
    [
      'a setting that lies closed',
      (pack) => {
        Object.assign(pack.settings[0] ?? {}, { desk: 'shims', at: 'plunger' });
        delete pack.closing.find(({ id }) => id === 'clutch-on')?.setting;
      },
      'faults.7.remedies.0.settings.0',
    ],
    [
      'a wait at most shorter than at least',
      (pack) => Object.assign(remedy(pack).work[0] ?? {}, { wait: { minutes: 9, most: 3 } }),
      'faults.7.remedies.1.work.0.wait.most',
    ],
    ['a fill that no setting is', (pack) => delete pack.closing.find(({ id }) => id === 'oil-filled')?.setting, 'closing.11.setting'],
    ['a setting done twice', (pack) => Object.assign(pack.closing[0] ?? {}, { setting: 'oil' }), 'closing.11.setting'],
    ['a life turned round', (pack) => Object.assign(pack.gears[0]?.lifeNew ?? {}, { low: 9000 }), 'gears.0.lifeNew'],
    ['a space at no place', (pack) => Object.assign(pack.spaces[0] ?? {}, { id: 'moon' }), 'spaces.0.id'],
  ])('%s', (_, change, path) => {
    const pack = copy('saw-oil-pump');
    change(pack);
    expect(refusalOf(() => checkPack(pack))).toMatchObject({ path });
  });

  test('a file from before there were remedies, with its fill named twice, is read', () => {
    const pack = withOneRemedyEach(copy('saw-oil-pump'));
    pack.closing.forEach((piece) => delete piece.setting);
    expect(() => checkPack(pack)).not.toThrow();
  });

  test('a remedy named where it is written elsewhere stands in; a name that nobody wrote is refused', () => {
    const pack = copy('saw-oil-pump');
    const named = (name: string) => ({
      ...pack,
      faults: pack.faults.map((fault) => (fault.id === 'pump-seized' ? { ...fault, remedies: [name] } : fault)),
    });
    expect(packSchema.parse(named('pump-new')).faults.find(({ id }) => id === 'pump-seized')?.remedies[0]?.name).toBe('New pump');
    expect(packSchema.safeParse(named('moon')).success).toBe(false);
  });
});
