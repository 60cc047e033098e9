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
type BoreField = 'boreMm' | 'flatMm' | 'keyWidthMm' | 'keyDepthMm' | 'hubMm' | 'hubLengthMm';

const BORE = ['boreMm', t.boreIn, 'mm'] as const;
const ACROSS = [['boreMm', t.acrossTheFlatsIn, 'mm']] as const;
/** What each bore is measured by. */
const BORE_FIELDS: Readonly<Record<TypedGear['bore'], readonly FigureOf<BoreField>[]>> = {
  round: [BORE],
  dFlat: [BORE, ['flatMm', t.leftAcrossTheFlatIn, 'mm']],
  key: [BORE, ['keyWidthMm', t.keyIn, 'mm'], ['keyDepthMm', t.keywayBeyondTheRoundIn, 'mm']],
  hexagon: ACROSS,
  square: ACROSS,
  none: [],
};

interface Props<Typed> {
  readonly typed: Typed;
  readonly onChange: (change: Partial<Typed>) => void;
}

/** Every figure of the gear to be made: teeth, bore, hub, and what the process takes or leaves. */
export function GearForm({ typed, onChange }: Props<TypedGear>) {
  return (
    <>
      <Card>
        <Text variant="head">{shared.teeth}</Text>
        <Figures<NumberField>
          typed={typed}
          fields={[
            ['teeth', shared.teeth],
            ['moduleMm', shared.moduleMm],
            ['pressureAngleDeg', t.pressureAngle],
            ['helixAngleDeg', t.helixLeftBelow0],
            ['profileShift', t.profileShift],
            ['backlashMm', t.thinnerForBacklashIn, 'mm'],
            ['faceMm', shared.faceWidthIn, 'mm'],
          ]}
          onChange={onChange}
          testID={(name) => `make-${name}`}
        />
      </Card>
      <BoreForm typed={typed} onChange={onChange} hub />
      <ProcessForm typed={typed} onChange={onChange} />
    </>
  );
}

type BoreFigures = Pick<TypedGear, 'bore' | BoreField>;

/** How it sits on its shaft. */
export function BoreForm({ typed, onChange, hub = false }: Props<BoreFigures> & { readonly hub?: boolean }) {
  const HUB: readonly FigureOf<BoreField>[] = hub
    ? [
        ['hubMm', shared.hubOutsideIn, 'mm'],
        ['hubLengthMm', shared.hubLengthIn, 'mm'],
      ]
    : [];
  return (
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
      <Figures<BoreField>
        typed={typed}
        fields={[...BORE_FIELDS[typed.bore], ...HUB]}
        onChange={onChange}
        testID={(name) => `make-${name}`}
      />
    </Card>
  );
}

/** What makes a body, and what only follows an outline. */
const SOLIDLY = [
  ['print', t.print],
  ['mill', t.mill],
] as const;
const FLATLY = [
  ['wire', shared.wire],
  ['laser', t.laser],
] as const;

type ProcessFigures = Pick<TypedGear, 'process' | 'material' | 'shrinkage' | 'kerf'>;

/** How it is made, of what, and what that takes or leaves. */
export function ProcessForm({ typed, onChange, isFlat = true }: Props<ProcessFigures> & { readonly isFlat?: boolean }) {
  const guide = guideAllowance(typed);
  return (
    <Card>
      <Text variant="head">{t.howItIsMade}</Text>
      <Segments
        label={t.process}
        options={isFlat ? [...SOLIDLY, ...FLATLY] : SOLIDLY}
        value={typed.process}
        onChange={(process) => onChange({ process })}
      />
      <MaterialChoice label={shared.of} value={typed.material} onChange={(material) => onChange({ material })} />
      <Figures<'shrinkage' | 'kerf'>
        typed={typed}
        fields={[
          ['shrinkage', t.shrinksGuide(guide.shrinkagePercent)],
          ['kerf', (unit) => t.toolCutsIn(unit, formatLength(guide.kerfMm)), 'mm'],
        ]}
        onChange={onChange}
        testID={(name) => `make-${name}`}
      />
    </Card>
  );
}
