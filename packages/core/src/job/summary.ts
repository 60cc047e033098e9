import type { JobSummary } from '../learn/shopLog.ts';
import type { Pack } from '../trace/pack.ts';
import { gearsOfFault } from '../trace/remedies.ts';
import { jobBill, minutesReckoned } from './bill.ts';
import { ENTRY_RULES } from './entryKinds.ts';
import type { JobState } from './jobState.ts';
import { isProved } from './proofPlan.ts';
import { toSetRight } from './toSetRight.ts';

/**
 * What a finished job leaves for the shop to learn from, worked out once when it is closed: no list of what was learnt reads entries.
 * @param rateMinorPerHour the shop's rate on that day
 */
export function jobSummary(state: JobState, pack: Pack, rateMinorPerHour: number): JobSummary {
  const faults = toSetRight(pack, state);
  const bill = jobBill(state, pack, rateMinorPerHour);
  const gears = Object.entries(state.gears);
  return {
    fault: pack.faults.find(({ id }) => id === state.decided?.fault)?.id ?? null,
    faults: faults.map(({ id }) => id),
    proved: isProved(pack, state),
    failed: [...new Set(faults.flatMap((fault) => gearsOfFault(pack, fault).slice(0, 1)))],
    fitted: gears.flatMap(([gear, { fitted }]) => (fitted ? [{ gear, partNumber: fitted.partNumber }] : [])),
    refused: [
      ...gears.flatMap(([, { orders = [] }]) =>
        orders.flatMap(({ partNumber, priceMinor, refusal }) =>
          refusal ? [{ partNumber, deciding: refusal.deciding, priceMinor: priceMinor ?? null }] : [],
        ),
      ),
      ...state.items.flatMap(({ partNumber, name, priceMinor, refusal }) =>
        refusal ? [{ partNumber: partNumber ?? name, deciding: refusal.deciding, priceMinor: priceMinor ?? null }] : [],
      ),
    ],
    hands: [...new Set(state.active.filter(({ payload }) => ENTRY_RULES[payload.kind].isWork).map(({ by }) => by))].sort(),
    minutesReckoned: minutesReckoned(state, pack),
    minutesTaken: bill.minutesNoted ? bill.minutes : null,
    totalMinor: bill.totalMinor,
  };
}
