import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { explainPack } from './explainPack.ts';
import type { Pack } from './pack.ts';

type Loose = Record<string, unknown> & {
  looks: Record<string, unknown>[];
  faults: Record<string, unknown>[];
  steps: Record<string, unknown>[];
};
const file = () => structuredClone(findFamily('auger-gearbox')) as unknown as Loose;

test.each(FAMILIES)('$id ships without a remark', (pack) =>
  expect(explainPack(structuredClone(pack))).toMatchObject({ mistakes: [], remarks: [] }),
);

test('every mistake of form is named at once, each with its place and its code', () => {
  const pack = file();
  delete pack.name;
  Object.assign(pack.looks[0] ?? {}, { minutes: 0 });
  Object.assign(pack.faults[1] ?? {}, { prior: 'often' });
  const { mistakes, ...rest } = explainPack(pack);
  expect(rest).toEqual({ pack: null, remarks: [] });
  expect(mistakes.map(({ path }) => path)).toEqual(['name', 'faults.1.prior', 'looks.0.minutes']);
  expect(mistakes.map(({ code }) => code)).toEqual(['missing', 'wrongType', 'notPositive']);
});

test.each([null, 7, 'auger', [], {}])('%j is no family, and says so instead of breaking', (raw) => {
  expect(explainPack(raw).mistakes.length).toBeGreaterThan(0);
});

test('pieces that do not meet are named', () => {
  const pack = file();
  Object.assign(pack.looks[0] ?? {}, { needs: ['roof-off'] });
  expect(explainPack(pack).mistakes).toMatchObject([{ code: 'unknownId', path: 'looks.0.needs.0', detail: { given: 'roof-off' } }]);
});

test('what works and serves badly is remarked on', () => {
  const pack = file() as unknown as Pack & Loose;
  const changed = {
    ...pack,
    textbookOrder: pack.textbookOrder.slice(1),
    closing: [],
    questions: [],
    looks: pack.looks.map((look) => ({
      ...look,
      cautions: [],
      ...(look.kind === 'kinematic' ? { drive: { ...look.drive, turns: 0.001 } } : {}),
    })),
  };
  const { pack: made, remarks } = explainPack(changed);
  expect(made).not.toBeNull();
  const codes = new Set(remarks.map(({ code }) => code));
  expect([...codes].sort()).toEqual(['cautionUnread', 'factUnasked', 'notInTextbook', 'soundChainStill', 'stepNotUndone', 'tellsNothing']);
});

test('a look that shows the same whatever is wrong is named', () => {
  const pack = file() as unknown as Pack & Loose;
  const empty = { ...pack.looks.find(({ kind }) => kind === 'table'), id: 'stare', likelihoods: {} };
  const { remarks } = explainPack({ ...pack, looks: [...pack.looks, empty], textbookOrder: [...pack.textbookOrder, 'stare'] });
  expect(remarks).toMatchObject([{ code: 'tellsNothing', detail: { id: 'stare' } }]);
});

test('two faults that no look tells apart are named', () => {
  const pack = file() as unknown as Pack & Loose;
  const twin = { ...pack.faults.find(({ id }) => id === 'belt-slips'), id: 'belt-twin', prior: 1 };
  const { remarks } = explainPack({ ...pack, faults: [...pack.faults, twin], looks: pack.looks.map((look) => twinned(look)) });
  expect(remarks).toContainEqual(expect.objectContaining({ code: 'neverTold', detail: { id: 'belt-twin', other: 'belt-slips' } }));
});

const twinned = (look: Pack['looks'][number]) =>
  look.kind === 'table' && look.likelihoods['belt-slips']
    ? { ...look, likelihoods: { ...look.likelihoods, 'belt-twin': look.likelihoods['belt-slips'] } }
    : look;

test('a file with a field as it was called before is read, and has the name of today', () => {
  const { auxiliaries, ...rest } = file();
  const { pack, mistakes } = explainPack({ ...rest, outliers: auxiliaries });
  expect(mistakes).toEqual([]);
  expect(pack?.auxiliaries).toEqual(auxiliaries);
});
