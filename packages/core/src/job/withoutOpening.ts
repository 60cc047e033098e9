import { remediesOf } from '../trace/remedies.ts';
import type { Fault, Pack } from '../trace/pack.ts';
import type { Remedy } from '../work/remedy.ts';
import { planIfAny } from '../work/workPlan.ts';
import type { JobState } from './jobState.ts';

/** Below this chance a suspect is no ground for any work: nothing is priced for it. */
const LEADS = 0.3;

/** What something takes from here to the end, its closing and proofs with it; its price by the shop's rate and guide prices of parts, minor units. */
export interface WorkPrice {
  readonly minutes: number;
  /** Null while the shop has no rate. */
  readonly priceMinor: number | null;
}

/** A way that leaves the fault where it is, and what it takes. */
interface Bypass extends WorkPrice {
  readonly remedy: Pick<Remedy, 'id' | 'name' | 'leaves'>;
}

/** What can be done without setting it right, and what setting it right would still cost. */
export interface BypassPrices {
  readonly fault: Fault;
  readonly bypasses: readonly Bypass[];
  /** It goes back as it came: what is open is closed again. */
  readonly leftAsItIs: WorkPrice;
  /** The way that its family names first of those that do set it right; null where what will not come bars it. */
  readonly setRight: WorkPrice | null;
}

/** What is acted on: the decision, else the suspect that leads by itself. Nothing where none does. */
function leading(
  pack: Pack,
  { decided }: Pick<JobState, 'decided'>,
  suspects: readonly { fault: string; probability: number }[],
): Fault | undefined {
  const [first] = suspects;
  const id = decided?.fault ?? (first && first.probability >= LEADS ? first.fault : undefined);
  return pack.faults.find((fault) => fault.id === id);
}

/**
 * Bypass and leaving it, priced as things stand: before the first screw and at every opening. Null where nothing leads, or what leads
 * has no bypass and nothing is open.
 */
export function bypassPrices(
  pack: Pack,
  state: Pick<JobState, 'decided' | 'reached' | 'stuck'>,
  {
    suspects,
    rateMinor,
  }: { readonly suspects: readonly { readonly fault: string; readonly probability: number }[]; readonly rateMinor: number },
): BypassPrices | null {
  const fault = leading(pack, state, suspects);
  if (!fault) return null;
  const at = { opened: state.reached, stuck: state.stuck.map(({ step }) => step) };
  const priced = (remedies: readonly Remedy[]): WorkPrice | null => {
    const plan = planIfAny(pack, remedies, at);
    if (!plan) return null;
    const hours = plan.parts.reduce((sum, { guideHours, count }) => sum + ((guideHours.low + guideHours.high) / 2) * count, 0);
    return {
      minutes: Math.round(plan.minutes),
      priceMinor: rateMinor > 0 ? Math.round(((plan.minutes / 60 + hours) * rateMinor) / 100) * 100 : null,
    };
  };
  const all = remediesOf(pack, fault);
  const bypasses = all
    .filter(({ kind }) => kind === 'bypass')
    .flatMap((remedy) => {
      const price = priced([remedy]);
      return price ? [{ remedy, ...price }] : [];
    });
  const first = all.find(({ kind }) => kind !== 'bypass' && kind !== 'scrap' && kind !== 'stop');
  const leftAsItIs = priced([]) ?? { minutes: 0, priceMinor: null };
  return { fault, bypasses, leftAsItIs, setRight: first ? priced([first]) : null };
}

/** Minutes of hands from here to the end for these faults, each set right as its family names first; null where the way is barred. */
export function minutesToTheEnd(
  pack: Pack,
  { reached, stuck }: Pick<JobState, 'reached' | 'stuck'>,
  faults: readonly Fault[],
): number | null {
  const remedies = faults.flatMap((fault) => remediesOf(pack, fault).slice(0, 1));
  const plan = planIfAny(pack, remedies, { opened: reached, stuck: stuck.map(({ step }) => step) });
  return plan && Math.round(plan.minutes);
}
