import { findFamily } from '@patient-badger/knowledge';
import { reassembly } from '../access/reassembly.ts';
import { traceNext } from '../trace/next.ts';
import type { Pack } from '../trace/pack.ts';
import { traceInput } from '../trace/schema.ts';
import { askedOf } from './benchMove.ts';
import { captureRecords } from './captures.ts';
import type { EntryPayload } from './entry.ts';
import { checkEntry } from './entryKinds.ts';
import { jobOf } from './jobOf.ts';
import { openLedger } from './ledger.ts';
import { openSteps } from './standing.ts';
import { withOwn } from './withOwn.ts';

const pack = findFamily('trimmer-bevel-head') as Pack;
const own = (n: number) => `own-0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const after = (...payloads: EntryPayload[]) => jobOf(payloads.map((payload) => ['wren', payload]));
const guard: EntryPayload = { kind: 'ownStepAdded', name: 'Guard off', how: 'Two screws underneath', minutes: 3 };
const clip: EntryPayload = {
  kind: 'ownLooseAdded',
  step: 'head-off',
  name: 'spring clip',
  part: 'clip',
  count: 1,
  lives: 'under the clamp',
};

test('a job that added nothing has the family itself, the same object', () => {
  expect(withOwn(pack, after())).toBe(pack);
});

test('an own loose part keeps the job open until it is back, though the family does not know of it', () => {
  const open = after(clip, { kind: 'stepDone', step: 'head-off' });
  expect(openLedger(pack, open).map(({ item }) => item.name)).toContain('spring clip');
  // The same where the family was laid out with it before.
  expect(openLedger(withOwn(pack, open), open)).toEqual(openLedger(pack, open));
  expect(openLedger(pack, after(clip, { kind: 'stepDone', step: 'head-off' }, { kind: 'closingDone', step: 'head-on' }))).toEqual([]);
  const lost = after(
    clip,
    { kind: 'stepDone', step: 'head-off' },
    { kind: 'looseNoted', step: 'head-off', item: own(0), what: 'lost', count: 1 },
  );
  expect(openLedger(pack, lost).find(({ item }) => item.id === own(0))).toMatchObject({ wanting: 1 });
});

test('an own step is open once done, is on the way back, and puts no look of the family out of reach', () => {
  const state = after(guard, { kind: 'stepDone', step: own(0) });
  const whole = withOwn(pack, state);
  expect(openSteps(whole, state)).toEqual([own(0)]);
  expect(reassembly(whole, openSteps(whole, state)).map(({ id }) => id)).toContain(own(0));
  const asked = ({ handled: _, ...rest }: ReturnType<typeof askedOf>) => traceInput.parse({ family: pack.id, ...rest, reached: [] });
  expect(traceNext(asked(askedOf(state)), pack).next?.look).toBe(traceNext(asked(askedOf(after())), pack).next?.look);
});

test('an own capture is asked for and shown on the way back', () => {
  const state = after({ kind: 'ownCaptureAdded', step: 'head-off', ask: 'Which hole is the screw in?', back: 'Is it in that hole?' });
  const record = captureRecords(withOwn(pack, state), ['head-off'], state).at(-1);
  expect(record).toMatchObject({ capture: { id: own(0), ask: 'Which hole is the screw in?' }, taken: false });
});

test('entries about what the job added are taken, and other unknown ids are not', () => {
  expect(() => checkEntry({ kind: 'stepDone', step: own(7) }, pack)).not.toThrow();
  expect(() => checkEntry({ kind: 'looseNoted', step: 'head-off', item: own(7), what: 'lost', count: 1 }, pack)).not.toThrow();
  expect(() => checkEntry({ kind: 'stepDone', step: 'own-guard' }, pack)).toThrow();
});
