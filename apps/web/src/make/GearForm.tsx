import { formatLength } from '@patient-badger/core';
import { t } from '@patient-badger/wording/make';
import { t as shared } from '@patient-badger/wording/shared';
import { Card } from '../design/Card.tsx';
import { Figures, type FigureOf } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { MaterialChoice } from '../desk/MaterialChoice.tsx';
import { guideAllowance, type TypedGear } from './makeQuestion.ts';

type NumberField = Exclude<keyof TypedGear, 'bore' | 'process' | 'material'>;

const BORE = ['boreMm', t.boreIn, 'mm'] as const;
const ACROSS = [['boreMm', t.acrossTheFlatsIn, 'mm']] as const;
/** What each bore is measured by. */
const BORE_FIELDS: Readonly<Record<TypedGear['bore'], readonly FigureOf<NumberField>[]>> = {
  round: [BORE],
  dFlat: [BORE, ['flatMm', t.leftAcrossTheFlatIn, 'mm']],
  key: [BORE, ['keyWidthMm', t.keyIn, 'mm'], ['keyDepthMm', t.keywayBeyondTheRoundIn, 'mm']],
  hexagon: ACROSS,
  square: ACROSS,
  none: [],
};

/** Every figure of the gear to be made: teeth, bore, hub, and what the process takes or leaves. */
export function GearForm({ typed, onChange }: { typed: TypedGear; onChange: (change: Partial<TypedGear>) => void }) {
  const figures = (...fields: FigureOf<NumberField>[]) => (
    <Figures typed={typed} fields={fields} onChange={onChange} testID={(name) => `make-${name}`} />
  );
  const guide = guideAllowance(typed);
  return (
    <>
      <Card>
        <Text variant="head">{shared.teeth}</Text>
        {figures(
          ['teeth', shared.teeth],
          ['moduleMm', shared.moduleMm],
          ['pressureAngleDeg', t.pressureAngle],
          ['helixAngleDeg', t.helixLeftBelow0],
          ['profileShift', t.profileShift],
          ['backlashMm', t.thinnerForBacklashIn, 'mm'],
          ['faceMm', shared.faceWidthIn, 'mm'],
        )}
      </Card>
      <Card>
        <Text variant="head">{t.boreAndHub}</Text>
        <Segments
          label={shared.bore}
          options={[
            ['round', shared.round],
            ['dFlat', 'D'],
            ['key', t.keyway],
            ['hexagon', shared.hexagon],
            ['square', shared.square],
            ['none', t.none],
          ]}
          value={typed.bore}
          onChange={(bore) => onChange({ bore })}
        />
        {figures(...BORE_FIELDS[typed.bore], ['hubMm', shared.hubOutsideIn, 'mm'], ['hubLengthMm', shared.hubLengthIn, 'mm'])}
      </Card>
      <Card>
        <Text variant="head">{t.howItIsMade}</Text>
        <Segments
          label={t.process}
          options={[
            ['print', t.print],
            ['mill', t.mill],
            ['wire', shared.wire],
            ['laser', t.laser],
          ]}
          value={typed.process}
          onChange={(process) => onChange({ process })}
        />
        <MaterialChoice label={shared.of} value={typed.material} onChange={(material) => onChange({ material })} />
        {figures(
          ['shrinkage', t.shrinksGuide(guide.shrinkagePercent)],
          ['kerf', (unit) => t.toolCutsIn(unit, formatLength(guide.kerfMm)), 'mm'],
        )}
      </Card>
    </>
  );
}
