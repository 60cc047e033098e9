import { isMakeable } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/make';
import type { OperationOutput } from '@patient-badger/core';
import type { GearCard } from '@patient-badger/core/machine';
import { useQuery } from '@tanstack/react-query';
import { runNamedInWorker } from '../data/runInWorker.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { FileCard } from './FileCard.tsx';
import { GearForm } from './GearForm.tsx';
import { LoadLine } from './LoadLine.tsx';
import { makeQuestion, NO_GEAR, type TypedGear } from './makeQuestion.ts';
import { Preview } from './Preview.tsx';
import { SolidMaking } from './SolidMaking.tsx';
import { SOLID_KINDS } from './solidQuestion.ts';
import { useMeasuredGear } from './useMeasuredGear.ts';

/** A gear that nobody sells, drawn by what was measured, for a printer, a mill, a wire or a laser. */
export const MakeScreen = () => (
  <GearFrame stage="match">
    {(view, card) => {
      if (!isMakeable(view.pack)) return <Never view={view} />;
      const kind = SOLID_KINDS.find((each) => each === card.type);
      if (NOT_DRAWN.includes(card.type)) return <NotDrawn card={card} />;
      return kind ? <SolidMaking view={view} card={card} kind={kind} /> : <Making view={view} card={card} />;
    }}
  </GearFrame>
);

/** What is no straight gear, and would be drawn as one. */
const NOT_DRAWN: readonly GearCard['type'][] = ['sector', 'screw'];

const NotDrawn = ({ card }: { card: GearCard }) => (
  <Card tone="sunken">
    <Text variant="head" testID="not-drawn">
      {t.notDrawnHere(card.name)}
    </Text>
    <Text>{t.orderItToItsDimensions}</Text>
  </Card>
);

const Never = ({ view: { pack } }: { view: JobView }) => (
  <Card tone="danger">
    <Text variant="danger" testID="never-made">
      {t.noGearOfThisIs}
    </Text>
    <Text>{t.somebodyCouldBeHurtThe(pack.name)}</Text>
  </Card>
);

type Outline = OperationOutput<'make.outline'>;

function Making({ view, card }: { view: JobView; card: GearCard }) {
  const { job } = view;
  const measured = useMeasuredGear(view, card);
  const { draft, set, isFilled } = useDeskDraft<TypedGear>(`make/${card.id}`, { jobId: job.id, known: measured.known, empty: NO_GEAR });
  const question = makeQuestion(draft);
  const asked = question && { gear: question.gear, bore: question.bore, allowance: question.allowance };
  const outline = useOutline(asked);
  const worn = useOutline(
    asked && measured.thinningMm > 0 ? { gear: { ...asked.gear, toothThinningMm: measured.thinningMm }, bore: { shape: 'none' } } : null,
  );
  return (
    <>
      <Text variant="title">{t.make(card.name)}</Text>
      {isFilled ? <Text variant="soft">{t.filledFromWhatWasMeasured}</Text> : null}
      {outline.data ? (
        <>
          <Preview
            label={t.outlineOfTeeth(draft.teeth)}
            outline={outline.data.outline}
            holes={outline.data.holes}
            worn={worn.data?.outline}
          />
          <Text variant="soft">
            {t.pointsNoFurtherThanM(
              outline.data.outline.length,
              (1000 * outline.data.deviationMm).toFixed(1),
              worn.data ? t.brokenLineTheWornOne : '',
            )}
          </Text>
        </>
      ) : null}
      {outline.error ? <Text variant="danger">{outline.error.message}</Text> : null}
      {question ? null : <Text>{t.teethModuleAndFaceWidth}</Text>}
      <GearForm typed={draft} onChange={set} />
      {question ? (
        <LoadLine pack={view.pack} card={card} tooth={{ ...question.gear, faceWidthMm: question.faceWidthMm, material: draft.material }} />
      ) : null}
      <FileCard view={view} card={card} question={question} isFlat blocked={outline.error !== null} material={draft.material} />
      <Text variant="soft">{t.aMadeGearIsA}</Text>
    </>
  );
}

const useOutline = (asked: object | null) =>
  useQuery({
    queryKey: ['make.outline', asked],
    queryFn: () => runNamedInWorker<Outline>('make.outline', asked),
    enabled: asked !== null,
    staleTime: Infinity,
    retry: false,
    meta: { local: true },
  });
