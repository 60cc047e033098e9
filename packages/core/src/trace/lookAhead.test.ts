import { FAMILIES } from '@patient-badger/knowledge';
import { priorOf } from './hypotheses.ts';
import { lookAhead, type Progress } from './lookAhead.ts';
import { traceNext } from './next.ts';
import type { Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { traceInput } from './schema.ts';

const fresh = (pack: Pack): Progress => ({ belief: priorOf(pack, {}), taken: new Set(), reached: new Set() });
const plan = (pack: Pack, progress: Partial<Progress> = {}) => lookAhead(pack, packModel(pack), { ...fresh(pack), ...progress }, 0.9);

describe.each(FAMILIES)('$id', (pack) => {
  test('the look proposed is as good as the best followed, within three in a hundred', () => {
    const plans = plan(pack);
    const least = Math.min(...plans.map(({ minutesToVerdict }) => minutesToVerdict));
    expect(plans[0]?.minutesToVerdict).toBeLessThanOrEqual(least * 1.03);
  });

  test('the same question gets the same answer', () => expect(plan(pack)).toEqual(plan(pack)));

  test('with everything open the verdict is never further away', () => {
    const open = plan(pack, { reached: new Set(pack.steps.map(({ id }) => id)) });
    const least = (list: typeof open) => Math.min(...list.map(({ minutesToVerdict }) => minutesToVerdict));
    expect(least(open)).toBeLessThanOrEqual(least(plan(pack)));
  });

  test('a look already taken is not planned again', () => {
    const first = plan(pack)[0]?.look ?? '';
    expect(plan(pack, { taken: new Set([first]) }).map(({ look }) => look)).not.toContain(first);
  });
});

test('the minutes left are those of the plan, and none once there is a verdict', () => {
  const pack = FAMILIES[0] as Pack;
  const open = traceNext(traceInput.parse({ family: pack.id }), pack);
  expect(open.remainingMinutesEstimate).toBe(open.next?.minutesToVerdict);
  const looks = [
    { look: 'drum-watch-arm', result: 'still' },
    { look: 'drum-tabs', result: 'broken' },
  ];
  expect(traceNext(traceInput.parse({ family: pack.id, observations: looks }), pack).remainingMinutesEstimate).toBe(0);
});
