import { t } from '@patient-badger/wording/make';
import type { OperationOutput } from '@patient-badger/core';
import type { GearCard } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { useQuery } from '@tanstack/react-query';
import { runNamedInWorker } from '../data/runInWorker.ts';
import { Text } from '../design/Text.tsx';
import { useWanted } from '../gear/useWanted.ts';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { BoreForm, ProcessForm } from './GearForm.tsx';
import { FileCard } from './FileCard.tsx';
import { LoadLine } from './LoadLine.tsx';
import { PairCard, RUNS_IN_MM } from './PairCard.tsx';
import { SolidForm } from './SolidForm.tsx';
import { knownOfSolid, NO_SOLID, toothOf, solidParts, solidQuestion, type SolidKind, type TypedSolid } from './solidQuestion.ts';

/** A worm, its wheel, a straight bevel or a rack; of a pair, turned with its mate before its file is written. */
export function SolidMaking({ view, card, kind }: { view: JobView; card: GearCard; kind: SolidKind }) {
  const { job, pack, state, machine } = view;
  const modelId = machine?.modelId;
  const own = useWanted(pack, card, { gear: state.gears[card.id], modelId });
  const driver = kind === 'wormWheel' ? pack.gears.find(({ type }) => type === 'worm') : undefined;
  const worm = useWanted(pack, driver, { gear: driver && state.gears[driver.id], modelId });
  const known = knownOfSolid({ pack, card, own: own?.attributes, worm: worm?.attributes });
  const { draft, set, isFilled } = useDeskDraft<TypedSolid>(`make/${kind}/${card.id}`, { jobId: job.id, known, empty: NO_SOLID });
  const question = solidQuestion(kind, draft);
  const both = solidParts(kind, draft).pair;
  // The sums on this device know the families that ship; one of the shop's own was asked whether it can be made before this screen.
  const family = findFamily(pack.id) ? pack.id : 'none';
  const pair = useQuery({
    queryKey: ['make.pair', family, both],
    queryFn: () => runNamedInWorker<OperationOutput<'make.pair'>>('make.pair', { family, a: both?.[0], b: both?.[1] }),
    enabled: both !== null,
    staleTime: Infinity,
    retry: false,
    meta: { local: true },
  });
  const isRack = kind === 'rack';
  const runsIn = (pair.data?.interferenceMm ?? 0) > RUNS_IN_MM;
  return (
    <>
      <Text variant="title">{t.make(card.name)}</Text>
      {isFilled ? <Text variant="soft">{t.filledFromWhatWasMeasured}</Text> : null}
      {pair.data ? <PairCard pair={pair.data} /> : null}
      {pair.error ? <Text variant="danger">{pair.error.message}</Text> : null}
      {question ? null : <Text>{t.figuresFirst}</Text>}
      <SolidForm kind={kind} typed={draft} onChange={set} />
      {isRack ? null : <BoreForm typed={draft} onChange={set} />}
      <ProcessForm typed={draft} onChange={set} isFlat={isRack} />
      {kind === 'wormWheel' ? <LoadLine pack={pack} card={card} tooth={toothOf(draft)} /> : null}
      <FileCard
        view={view}
        card={card}
        question={question}
        isFlat={isRack}
        hasSeat={!isRack}
        blocked={runsIn || pair.error !== null || pair.isLoading}
        material={draft.material}
      />
      <Text variant="soft">{t.aMadeGearIsA}</Text>
    </>
  );
}
