import { plain, usualUse, type UseUnit } from '@patient-badger/core';
import { byKeptRatio, gearInHand, materialOf, seatsOf, toSetRight } from '@patient-badger/core/job';
import { draftOptions, type DraftFacts, type PartAttributes, type ToothFacts } from '@patient-badger/core/parts';
import { part as partSchema, type MachineHistory } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from '../data/api.ts';
import { isComing } from '../data/isComing.ts';
import { useMachineHistory, useShelf } from '../data/jobs.ts';
import { runOperation } from '../data/runOperation.ts';
import { useLearnt } from '../data/learnt.ts';
import { useShop } from '../data/shop.ts';
import { usePrices } from '../data/usePrices.ts';
import { useWanted } from '../gear/useWanted.ts';
import type { JobView } from '../job/JobView.ts';
import { offersOf } from '../match/offers.ts';
import { donorsFor } from '../match/OnTheShelf.tsx';
import { useMateWear } from './useMateWear.ts';
import { inOrder, optionsOf, optionsQuestion, twoFigures, worded, type Use } from './decision.ts';

/** A machine is taken to be kept for so many years where nobody said (guide). */
const USUAL_HORIZON = 5;

/** The options of a job as they stand, ranked for the use that is assumed. */
export function useDecision(view: JobView, assumed: Use | null) {
  const { job, pack, state, machine } = view;
  const asked = useShop();
  const shop = asked.data;
  const gear = gearInHand(pack, state);
  const card = pack.gears.find(({ id }) => id === gear) ?? pack.gears[0];
  const readings = gear === undefined ? undefined : state.gears[gear];
  const wanted = useWanted(pack, card, { gear: readings, modelId: machine?.modelId });
  const looked = wanted && card ? (byKeptRatio(pack, { card, measured: wanted.attributes }, state) ?? wanted.attributes) : null;
  const chosen = readings?.chosen;
  const part = useQuery({
    queryKey: ['part', chosen?.partId],
    queryFn: () => call(`/api/parts/${chosen?.partId}`, partSchema),
    enabled: chosen !== undefined && chosen.source === undefined,
  }).data;
  const prices = usePrices(state, machine?.modelId);
  const shelf = useShelf().data;
  // By the job’s own word: asked only once the machine is known, it would come when somebody types already.
  const history = useMachineHistory(job.machineId);
  const yearly = history.data?.yearly;
  const use = assumed ?? state.use ?? ownUse(yearly);
  const ownLife = useOwnLife(pack.id, gear, use.unit);
  const rateMinor = shop?.rateMinor ?? 0;
  // Figures, not what they come from: a slider that is dragged plans nothing anew.
  const donors = looked && shelf ? donorsFor(shelf, looked).length : 0;
  const canBeMade = looked?.type === 'spur' || looked?.type === 'helical';
  const tooth = useToothFacts(looked, materialOf(pack, card?.body));
  const wear = useMateWear(view);
  const { drafts, notOffered } = useMemo(() => {
    const drafted = draftOptions({
      pack,
      faults: [...toSetRight(pack, state)].sort((p, q) => Number(q.id === state.decided?.fault) - Number(p.id === state.decided?.fault)),
      opened: state.reached,
      stuck: state.stuck.map(({ step }) => step),
      gear: pack.gears.find(({ id }) => id === gear)?.body,
      offers: part ? offersOf(part) : [],
      asked: prices.map(({ gear: of, ...price }) => ({ ...price, body: pack.gears.find(({ id }) => id === of)?.body })),
      seats: seatsOf(pack, state),
      tooth,
      wear,
      donors,
      canBeMade,
      unit: use.unit,
      rateMinor,
      ownLife,
    });
    return { drafts: drafted.drafts.map(worded), notOffered: drafted.notOffered };
  }, [pack, state, part, prices, tooth, wear, donors, canBeMade, gear, use.unit, rateMinor, ownLife]);
  const options = optionsOf(drafts, state, use.unit);
  const question = optionsQuestion(options, use, rateMinor);
  const worked = question && runOperation('decide.options', question);
  return {
    options,
    use,
    /** What is usual is not worked with while the machine's own use may still come: nobody should change a figure meanwhile. */
    isComing: isComing(asked) || (!assumed && !state.use && isComing(history)),
    isAssumed: !assumed && !state.use && (yearly?.km ?? yearly?.hours ?? null) === null,
    ranked: inOrder(options, worked?.ok ? worked.output.ranked : []),
    problem: worked && !worked.ok ? worked.sentence : null,
    currency: shop?.currency ?? 'EUR',
    rateMinor,
    notOffered,
  };
}

/** What was measured of the gear that is asked for, as its tooth is reckoned: new only where a figure is. */
function useToothFacts(looked: PartAttributes | null, material: ToothFacts['material']): ToothFacts {
  const teeth = looked?.teeth;
  const normalModuleMm = plain(looked?.normalModuleMm ?? looked?.axialModuleMm);
  const helixAngleDeg = plain(looked?.helixAngleDeg);
  const faceWidthMm = plain(looked?.faceWidthMm);
  return useMemo(
    () => ({ teeth, normalModuleMm, helixAngleDeg, faceWidthMm, material }),
    [teeth, normalModuleMm, helixAngleDeg, faceWidthMm, material],
  );
}

/** How long this shop's own parts at that place live, as far as its log knows. */
function useOwnLife(family: string, gear: string | undefined, unit: UseUnit): DraftFacts['ownLife'] {
  const lives = useLearnt().data?.learnt?.lives;
  return useMemo(() => {
    const life = lives?.find(
      (each) => each.family === family && each.gear === gear && each.unit === unit && each.partNumber === null,
    )?.life;
    const { mean, shape, failures, enough } = life ?? {};
    return enough && mean !== undefined && shape !== undefined && failures !== undefined ? { mean, shape, failures } : undefined;
  }, [lives, family, gear, unit]);
}

const ownUse = (yearly: MachineHistory['yearly'] | undefined): Use => {
  const { perYear, unit } = usualUse(yearly);
  return { perYear: twoFigures(perYear), unit, horizonYears: USUAL_HORIZON, costPerDownDayMinor: 0 };
};
