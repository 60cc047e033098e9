import { packModel, type KinematicLook, type Pack } from '@patient-badger/core/machine';
import { FAMILIES } from '@patient-badger/knowledge';
import { resultName, sideName } from './results.ts';

const isBoth = (look: Pack['looks'][number]): look is KinematicLook => look.kind === 'kinematic' && look.beside !== undefined;
const pack = FAMILIES.find(({ looks }) => looks.some(isBoth)) as Pack;
const both = pack.looks.find(isBoth) as KinematicLook;

test('a look at both sides names each side with what it does, each as the middle of a sentence', () => {
  const body = (id?: string) => pack.driveline.bodies.find((each) => each.id === id)?.name;
  const names = packModel(pack)
    .outcomes.get(both.id)
    ?.map(({ result }) => resultName(pack, both.id, result));
  expect(names?.length).toBeGreaterThan(1);
  for (const name of names ?? []) {
    const [first, second] = name.split('. ');
    expect(first?.startsWith(`${body(both.watch)}: `)).toBe(true);
    expect(second?.startsWith(`${body(both.beside)}: `)).toBe(true);
    expect(name.match(/: ./g)?.every((each) => each === each.toLowerCase())).toBe(true);
  }
});

test.each(FAMILIES)('$id: every result of every look has words', (family) => {
  for (const [look, outcomes] of packModel(family).outcomes)
    for (const { result } of outcomes) {
      const name = resultName(family, look, result);
      expect(name).toMatch(/[a-z]{2}/);
      expect(name).not.toBe(result);
      expect(name).not.toContain('undefined');
    }
});

test('what one side does has the family’s own word before the usual one', () => {
  expect(sideName({ words: { still: 'The drum stands' } }, 'still')).toBe('The drum stands');
  expect(sideName({ words: {} }, 'still')).toBe('It stands still');
});
