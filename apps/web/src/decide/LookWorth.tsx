import { t } from '@patient-badger/wording/decide';
import { advisedLooks, lookChances, minutesOfWork, usualRemedy } from '@patient-badger/core/machine';
import type { OptionDraft } from './decision.ts';
import { useRouter } from 'expo-router';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { minutesText, money, percent } from '../wording/words.ts';

/** Suspects less likely than this move no money. */
const LEAST = 0.01;
/** A part nobody has priced yet is taken to cost an hour of work (guide). */
const HOURS_FOR_A_PART = 1;

interface Props {
  readonly view: JobView;
  readonly options: readonly OptionDraft[];
  readonly rateMinor: number;
  readonly currency: string;
}

/**
 * Before money is spent: whether one more look would save more than its minutes, with the sum. Once it is decided only a look that
 * does is a word worth.
 */
export function LookWorth({ view: { job, pack, state, trace }, options, rateMinor, currency }: Props) {
  const router = useRouter();
  if (isSpent(state)) return null;
  const partMinor =
    options.find(({ kind, partsMinor }) => kind === 'replace' && partsMinor !== null)?.partsMinor ?? rateMinor * HOURS_FOR_A_PART;
  const suspected = new Map(pack.faults.map((fault) => [fault.id, usualRemedy(pack, fault)]));
  const suspects = trace.suspects
    .filter(({ probability }) => probability >= LEAST)
    .flatMap(({ fault, probability }) => {
      const remedy = suspected.get(fault);
      if (!remedy) return [];
      const buys = remedy.parts.some(({ gear }) => gear !== undefined);
      const actMinor = Math.round((minutesOfWork(remedy) / 60) * rateMinor) + (buys ? partMinor : 0);
      // In vain: the part bought for nothing, and the same minutes once more.
      return [{ fault, probability: Math.min(1, probability), actMinor, wrongMinor: actMinor }];
    });
  const looks = advisedLooks(trace).map(({ look, minutes }) => ({
    look,
    minutes,
    results: lookChances(pack, look, { faults: suspects.map(({ fault }) => fault), found: state.found }),
  }));
  if (suspects.length < 2 || looks.length === 0) return null;
  const worked = runOperation('decide.worth', { suspects, looks, rateMinorPerHour: rateMinor });
  if (!worked.ok) return null;
  const { actNow, looks: worth } = worked.output;
  const [best] = worth;
  const named = pack.looks.find(({ id }) => id === best?.look);
  const fault = pack.faults.find(({ id }) => id === actNow.fault);
  if (!best || !named || (state.decided && !best.worthIt)) return null;
  const cash = (minor: number) => money(Math.round(minor), currency);
  return (
    <Card tone={best.worthIt ? 'next' : 'sunken'} testID="look-worth">
      <Text variant="head">{best.worthIt ? t.oneMoreLookIsWorth : t.noLookIsWorthIts}</Text>
      <Text>
        {t.actingNowOnSureCosts(
          fault?.name ?? '',
          percent(trace.suspects.find((each) => each.fault === actNow.fault)?.probability ?? 0),
          cash(actNow.expectedMinor),
        )}
      </Text>
      <Text>
        {t.afterItWouldBeAnd(
          named.name,
          cash(best.afterMinor),
          minutesText(named.minutes),
          cash(best.looksMinor),
          best.savesMinor > 0 ? t.saves : t.loses,
          cash(Math.abs(best.savesMinor)),
        )}
      </Text>
      {best.worthIt ? (
        <Button variant="primary" label={t.takeThatLook} onPress={() => router.navigate(`/jobs/${job.id}/look/${best.look}`)} />
      ) : null}
    </Card>
  );
}

/** Something is bought, made or saved, or it goes back together: a look would come too late. */
const isSpent = ({ gears, items, made, saved, closingDone, closed }: JobView['state']): boolean =>
  closed !== null ||
  closingDone.length + made.length + saved.length + items.length > 0 ||
  Object.values(gears).some(({ orders = [], fitted }) => orders.length > 0 || fitted);
