import { findFamily } from '@patient-badger/knowledge';
import { cheapWhileCheap } from './cheapWhileCheap.ts';
import { priorOf } from './hypotheses.ts';
import { traceNext } from './next.ts';
import type { Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { advisedLooks, traceInput, type LookAdvice, type TraceInput } from './schema.ts';

const ask = (pack: Pack, more: Partial<TraceInput>) => traceNext(traceInput.parse({ family: pack.id, ...more }), pack);
const saw = findFamily('saw-oil-pump') as Pack;
const slide = findFamily('slide-rack-drive') as Pack;
const chance = (output: ReturnType<typeof ask>, fault: string) => output.suspects.find((each) => each.fault === fault)?.probability ?? 0;

const weak = { look: 'paper-test', result: 'weak' };
const flows = { look: 'vent-open', result: 'flows' };

test('a cure that seems to have worked is looked at once more in the look that had shown the complaint', () => {
  const { verdict, toLookAt, next } = ask(saw, { complaints: ['dry'], confidence: 0.999, observations: [weak, flows] });
  expect([verdict, toLookAt, next?.look]).toEqual([null, { fault: 'vent-blocked', look: 'paper-test' }, 'paper-test']);
  const gone = ask(saw, { complaints: ['dry'], observations: [weak, flows, { look: 'paper-test', result: 'line' }] });
  expect([gone.verdict?.fault, gone.end?.kind, gone.next]).toEqual(['vent-blocked', 'fault', null]);
});

test('a cure that worked ends the search whatever stood before it, and not where the complaint had never been seen', () => {
  const against = [
    { look: 'hose-pliable', result: 'pliable' },
    { look: 'oil-feel', result: 'thick' },
    weak,
    { look: 'fresh-oil', result: 'same' },
  ];
  const cured = [flows, { look: 'paper-test', result: 'line' }];
  expect(ask(saw, { complaints: ['dry'], observations: [...against, ...cured] }).verdict?.fault).toBe('vent-blocked');
  // Nobody complained, or nothing was seen of it before: evidence like any other.
  const unseen = ask(saw, { complaints: ['dry'], observations: [{ look: 'paper-test', result: 'line' }, flows] });
  expect(chance(unseen, 'vent-blocked')).toBeLessThan(0.99);
});

test('a cure after which the complaint still shows has cured nothing', () => {
  const still = ask(saw, { complaints: ['dry'], observations: [weak, flows, weak] });
  const untried = ask(saw, { complaints: ['dry'], observations: [weak] });
  expect([still.verdict, chance(still, 'vent-blocked')]).toEqual([null, expect.closeTo(chance(untried, 'vent-blocked'), 9)]);
});

test('several complaints are each made of the fault that brings it oftenest, and their chances are multiplied', () => {
  const [pops, crooked, both] = [['pops'], ['crooked'], ['pops', 'crooked']].map((complaints) => ask(slide, { complaints }));
  if (!pops || !crooked || !both) throw new Error('three were asked');
  for (const each of ['left-pinion', 'right-pinion']) {
    expect(chance(both, each)).toBeGreaterThan(Math.max(chance(pops, each), chance(crooked, each)));
  }
  expect(both.factShifts.filter(({ fault }) => fault === 'left-pinion')).toHaveLength(2);
  // The complaint that stands among the facts is one of them, and is not counted twice.
  expect(ask(slide, { complaints: ['pops'], facts: { complaint: 'pops' } }).suspects).toEqual(pops.suspects);
  // Two faults together explain what neither explains alone: dark lights of the one, a crooked wall of the other.
  const two = ask(slide, { complaints: ['creeps', 'silent'] });
  expect(chance(two, 'brake-worn')).toBeGreaterThan(chance(ask(slide, { complaints: ['silent'] }), 'brake-worn'));
});

test('dry runners make both sides jerk: that is not the nylon gear alone', () => {
  const jerks = ask(slide, { complaints: ['heavy'], observations: [{ look: 'both-racks', result: 'less-less' }] });
  expect(chance(jerks, 'nylon-broken')).toBeLessThan(0.5);
  expect(jerks.verdict).toBeNull();
  const [odds] = ['grit', 'low-voltage', 'runners-dry'].map((fault) => chance(jerks, fault));
  expect(odds).toBeGreaterThan(0.05);
});

test('both sides are misread for one cause more often than each for its own', () => {
  const outcomes = packModel(slide).outcomes.get('both-racks') ?? [];
  const of = (result: string) => outcomes.find((each) => each.result === result)?.likelihood('sound') ?? 0;
  expect(of('still-still')).toBeGreaterThan(4 * of('still-less'));
  expect(outcomes.reduce((sum, { likelihood }) => sum + likelihood('sound'), 0)).toBeCloseTo(1, 9);
  expect(outcomes.reduce((sum, { likelihood }) => sum + likelihood('grit/0'), 0)).toBeCloseTo(1, 9);
});

test('what a look ends is gone: chips lie as found until the worm was cleaned, and are looked at before', () => {
  const reached = ['lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off', 'drum-off', 'plate-off'];
  const cleaned = ask(saw, { reached, observations: [{ look: 'worm-under-light', result: 'sharp' }] });
  expect(advisedLooks(cleaned).map(({ look }) => look)).not.toContain('chips-on-worm');
  expect(cleaned.notPossible).toContainEqual({ look: 'chips-on-worm', states: ['as-found'] });
  const order = advisedLooks(ask(saw, { reached })).map(({ look }) => look);
  expect(order.indexOf('chips-on-worm')).toBeLessThan(order.indexOf('worm-under-light'));
});

test('quick looks on the whole machine go before the opening that would end them, and no others', () => {
  const advice = advisedLooks(ask(slide, { complaints: ['crooked'] }));
  const of = (look: string, more: Partial<LookAdvice> = {}): LookAdvice => {
    const found = advice.find((each) => each.look === look);
    if (!found) throw new Error(`${look} is not advised`);
    return { ...found, ...more };
  };
  const opening = of('left-teeth');
  expect(opening.steps.map(({ id }) => id)).toContain('supported');
  // The button needs the supply that the opening takes; the runners can be looked at as well after it.
  const [button, runners] = [of('button', { expectedBits: 0.2 }), of('runners-look', { expectedBits: 0.2 })];
  const order = (list: LookAdvice[]) => cheapWhileCheap(slide, list, []).map(({ look }) => look);
  expect(order([opening, runners, button])).toEqual(['button', 'left-teeth', 'runners-look']);
  expect(order([opening, { ...button, expectedBits: 0.04 }])).toEqual(['left-teeth', 'button']);
  expect(order([opening, { ...button, lookMinutes: 2 }])).toEqual(['left-teeth', 'button']);
  expect(order([])).toEqual([]);
});

test('of several complaints a pair explains each by the better of its faults', () => {
  const { hypotheses } = packModel(slide);
  const pair = hypotheses.find(({ faults }) => faults.map(({ fault }) => fault.id).join() === 'left-pinion,low-voltage');
  const share = (complaints: string[]) => {
    const prior = priorOf(slide, { complaints }, hypotheses);
    const listed = hypotheses.reduce((sum, { id, none }) => sum + (none ? 0 : (prior[id] ?? 0)), 0);
    return (prior[pair?.id ?? ''] ?? 0) / listed;
  };
  expect(pair).toBeDefined();
  // The one is heard popping, the other makes it slow: together they are likelier than either complaint alone makes them.
  expect(share(['pops', 'heavy'])).toBeGreaterThan(2 * Math.max(share(['pops']), share(['heavy'])));
});
