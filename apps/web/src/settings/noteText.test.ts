import type { EntryPayload } from '@patient-badger/core/job';
import type { Waiting } from '../data/outbox.ts';
import { changeText, textOf } from './noteText.ts';

const note = (payload: EntryPayload): Waiting => ({
  kind: 'entry',
  key: '000000000001',
  entry: { id: 'e', jobId: 'j', at: '2026-11-25T10:00:00.000Z', by: 'wren', payload },
});

test.each<[EntryPayload, string | null]>([
  [{ kind: 'remark', text: 'oily' }, 'oily'],
  [{ kind: 'takenIn', machineId: 'm', family: 'f', complaint: 'dry', facts: {} }, 'dry'],
  [{ kind: 'closed', outcome: 'cleaned', found: 'chips', note: 'again in May' }, 'chips'],
  [{ kind: 'stepSkipped', step: 's', reason: 'was off' }, 'was off'],
  [{ kind: 'stepDone', step: 's' }, null],
])('%j: what a person wrote of it is what can be changed, and nothing else is', (payload, own) => {
  const item = note(payload);
  expect(textOf(item)).toBe(own);
  const changed = changeText(item, 'other words');
  expect(textOf(changed)).toBe(own === null ? null : 'other words');
  if (own === null) expect(changed).toEqual(item);
  else expect(JSON.stringify(changed).replace('other words', own)).toBe(JSON.stringify(item));
});

test('a machine is changed by its name; a photo has no words', () => {
  const machine: Waiting = {
    kind: 'machine',
    key: '1',
    by: 'wren',
    machine: { id: 'm', modelId: null, family: 'f', label: 'Saw', serial: '', owner: '', contact: '', facts: {} },
  };
  expect(textOf(changeText(machine, 'Big saw'))).toBe('Big saw');
  const photo: Waiting = { kind: 'photo', key: '2', entryId: 'e', jobId: 'j', about: 'worm', blob: new Blob(), by: 'wren', at: '' };
  expect([textOf(photo), changeText(photo, 'x')]).toEqual([null, photo]);
});
