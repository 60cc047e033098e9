import { t } from '@patient-badger/wording/gear';
import { bevel } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { SizedCard } from '../SizedCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { BevelDrawing } from './BevelDrawing.tsx';
import { bevelLine } from './line.ts';
import { BEVEL_WORDS } from './words.ts';
import { gearOn } from '../gearOn.ts';

/** The others are taken from the list below. */
const ON_DRAWING = ['teeth', 'mateTeeth', 'tipDiameterMm', 'toothHeightMm', 'boreDiameterMm', 'faceWidthMm'] as const;

/** A bevel, measured at its large end: which it was. */
export function BevelCard({ view, card }: { view: JobView; card: GearCard }) {
  const identified = useIdentified(bevel, gearOn(view, card), { view, card });
  return (
    <SizedCard
      view={view}
      card={card}
      words={BEVEL_WORDS}
      heading={t.whichBevelItWas}
      begin={t.countTheTeethOfBoth}
      identified={identified}
      line={bevelLine}
      quantities={ON_DRAWING}
      label={t.drawingOfTheBevelLarge}
      picture={() => <BevelDrawing />}
      more={['shaftOffsetMm']}
      beside={<PhotoCount view={view} card={card} />}
    />
  );
}
