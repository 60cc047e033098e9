import { applyOverrides, modelOverrides, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { changedJoints, countsOf } from './counts.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const worm = countsOf(pack).find(({ counts }) => counts.some(({ field }) => field === 'starts'));

test('only what was typed and is another count becomes the model’s own, and the drive line then has it', () => {
  expect(changedJoints(pack, {})).toEqual({});
  const teeth = worm?.counts.find(({ field }) => field === 'teeth')?.value ?? 0;
  const id = worm?.joint ?? '';
  expect(changedJoints(pack, { [`${id}/teeth`]: String(teeth) })).toEqual({});
  const joints = changedJoints(pack, { [`${id}/teeth`]: String(teeth + 3), [`${id}/starts`]: '2' });
  expect(joints).toEqual({ [id]: { teeth: teeth + 3, starts: 2 } });
  const changed = applyOverrides(pack, modelOverrides.parse({ joints }));
  expect(
    countsOf(changed)
      .find(({ joint }) => joint === id)
      ?.counts.map(({ value }) => value),
  ).toEqual([2, teeth + 3]);
});

test.each(['', '0', '-4', '12.5', 'many'])('“%s” is no count', (text) => {
  expect(changedJoints(pack, { [`${worm?.joint}/teeth`]: text })).toBeNull();
});
