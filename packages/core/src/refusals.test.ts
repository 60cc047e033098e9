import { familyIds, findFamily } from '@patient-badger/knowledge';
import { FAILURE_REASONS, SCHEMA_REASONS } from './failure/FailureReason.ts';
import { createOperations } from './operations.ts';
import { REFUSALS } from './refusalCases.ts';
import { refusalOf } from './testing.ts';
import { explainPack } from './trace/explainPack.ts';
import { modelOverrides } from './trace/modelOverrides.ts';
import { applyOverrides } from './trace/overrides.ts';
import type { Pack } from './trace/pack.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });

test.each(REFUSALS)('%s %j is refused at %s', (op, input, path, detail) => {
  const failure = refusalOf(() => operations.runNamed(op, input));
  expect(failure.path).toBe(path);
  expect(failure.detail).toMatchObject(detail);
});

type Loose = Record<string, unknown> & Record<'faults' | 'looks' | 'steps' | 'closing', Record<string, unknown>[]>;
const broken = (change: (pack: Loose) => void) => {
  const pack = structuredClone(findFamily('auger-gearbox')) as unknown as Loose;
  change(pack);
  return explainPack(pack).mistakes[0];
};
const firstRemedy = (pack: Loose) => (pack.faults[0]?.remedies as [{ parts: object[] }])[0];
const table = (pack: Loose) => pack.looks.findIndex(({ kind }) => kind === 'table');
const moving = (pack: Loose) => pack.looks.findIndex(({ kind }) => kind === 'kinematic');

const OF_A_FILE: readonly [string, (pack: Loose) => void, RegExp, object][] = [
  ['noRemedy', (pack) => void Object.assign(pack.faults[0] ?? {}, { remedies: [] }), /^faults\.0\.remedies$/, { id: /./ }],
  ['sharesNotOne', (pack) => void Object.assign(pack.faults[0] ?? {}, { modes: [{ share: 0.4 }] }), /^faults\.0\.modes$/, { given: 0.4 }],
  [
    'faultNotAtJoint',
    (pack) => void Object.assign(pack.faults[0] ?? {}, { at: 'wheel', modes: [{ mode: 'open', share: 1 }] }),
    /^faults\.0\.at$/,
    {},
  ],
  [
    'driveOfOtherKind',
    (pack) => void Object.assign(pack.looks[moving(pack)]?.drive as object, { turns: undefined, travelMm: 4 }),
    /^looks\.\d+\.drive$/,
    { wanted: 'turns' },
  ],
  ['chancesNotOne', (pack) => void Object.assign(pack.looks[table(pack)] ?? {}, { otherwise: [0.5] }), /^looks\.\d+\.otherwise$/, {}],
  ['notDrawn', (pack) => void Object.assign(pack, { branches: [] }), /^order$/, {}],
  [
    'limitsBetweenResults',
    (pack) => void Object.assign(pack.looks[table(pack)] ?? {}, { figure: { quantity: 'play', unit: 'mm', limits: [3, 2, 1, 0, 9, 8] } }),
    /^looks\.\d+\.figure\.limits$/,
    {},
  ],
  [
    'partWithoutName',
    (pack) => void Object.assign(firstRemedy(pack).parts[0] ?? {}, { gear: 'wheel' }),
    /^faults\.0\.remedies\.0\.parts\.0$/,
    {},
  ],
  [
    'settingOutOfReach',
    (pack) => void Object.assign(firstRemedy(pack), { settings: ['mesh-play'] }),
    /^faults\.0\.remedies\.0\.settings\.0$/,
    { given: 'mesh-play' },
  ],
  ['filledTwice', (pack) => void delete pack.closing.find(({ kind }) => kind === 'fill')?.setting, /^closing\.\d+\.setting$/, {}],
  ['stepNeedsItself', (pack) => void Object.assign(pack.steps[0] ?? {}, { needs: [pack.steps[0]?.id] }), /^steps\.0\.needs$/, {}],
];

test.each(OF_A_FILE)('a family file is refused as %s', (reason, change, path, detail) => {
  const mistake = broken(change);
  expect(mistake).toMatchObject({ code: 'contradiction', detail: { reason, ...detail } });
  expect(mistake?.path).toMatch(path);
});

test('a model that changes what a joint does not have is refused by the joint', () => {
  const pack = findFamily('auger-gearbox') as Pack;
  const joint = pack.driveline.joints.find(({ type }) => type === 'worm');
  const overrides = modelOverrides.parse({ joints: { [joint?.id ?? '']: { leadMm: 4 } } });
  expect(refusalOf(() => applyOverrides(pack, overrides))).toMatchObject({
    path: `joints.${joint?.id}`,
    detail: { reason: 'notOfThisJoint', id: joint?.id, type: 'worm' },
  });
});

test('every reason is reached by a test, or is named here as what only a file or an entry can bring', () => {
  const reached = new Set(REFUSALS.map(([, , , detail]) => (detail as { reason: string }).reason));
  const elsewhere = [
    ...OF_A_FILE.map(([reason]) => reason),
    'laterWithoutDays',
    'limitsCrossed',
    'cautionForbids',
    'needsWhatItEnds',
    'givenBackUnclear',
    'notOfThisJoint',
    'notForModels',
    'odometerForwardOnly',
    'safetyCriticalNotSaved',
    'textBroken',
    // What a schema gives itself is held in packages/contract/src/reasons.test.ts.
    ...SCHEMA_REASONS,
  ];
  expect(FAILURE_REASONS.filter((each) => !reached.has(each) && !elsewhere.includes(each))).toEqual([]);
});
