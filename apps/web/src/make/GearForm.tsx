import { Card } from '../design/Card.tsx';
import { Figures } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { MaterialChoice } from '../strength/MaterialChoice.tsx';
import { guideAllowance, type TypedGear } from './makeQuestion.ts';

type NumberField = Exclude<keyof TypedGear, 'bore' | 'process' | 'material'>;

const ACROSS = [['boreMm', 'Across the flats, mm']] as const;
/** What each bore is measured by. */
const BORE_FIELDS: Readonly<Record<TypedGear['bore'], readonly (readonly [NumberField, string])[]>> = {
  round: [['boreMm', 'Bore, mm']],
  dFlat: [
    ['boreMm', 'Bore, mm'],
    ['flatMm', 'Left across the flat, mm'],
  ],
  key: [
    ['boreMm', 'Bore, mm'],
    ['keyWidthMm', 'Key, mm'],
    ['keyDepthMm', 'Keyway beyond the round, mm'],
  ],
  hexagon: ACROSS,
  square: ACROSS,
  none: [],
};

/** Every figure of the gear to be made: teeth, bore, hub, and what the process takes or leaves. */
export function GearForm({ typed, onChange }: { typed: TypedGear; onChange: (change: Partial<TypedGear>) => void }) {
  const figures = (...fields: (readonly [NumberField, string])[]) => (
    <Figures typed={typed} fields={fields} onChange={onChange} testID={(name) => `make-${name}`} />
  );
  const guide = guideAllowance(typed);
  return (
    <>
      <Card>
        <Text variant="head">Teeth</Text>
        {figures(
          ['teeth', 'Teeth'],
          ['moduleMm', 'Module, mm'],
          ['pressureAngleDeg', 'Pressure angle, °'],
          ['helixAngleDeg', 'Helix, ° (left below 0)'],
          ['profileShift', 'Profile shift'],
          ['backlashMm', 'Thinner for backlash, mm'],
          ['faceMm', 'Face width, mm'],
        )}
      </Card>
      <Card>
        <Text variant="head">Bore and hub</Text>
        <Segments
          label="Bore"
          options={[
            ['round', 'Round'],
            ['dFlat', 'D'],
            ['key', 'Keyway'],
            ['hexagon', 'Hexagon'],
            ['square', 'Square'],
            ['none', 'None'],
          ]}
          value={typed.bore}
          onChange={(bore) => onChange({ bore })}
        />
        {figures(...BORE_FIELDS[typed.bore], ['hubMm', 'Hub outside, mm'], ['hubLengthMm', 'Hub length, mm'])}
      </Card>
      <Card>
        <Text variant="head">How it is made</Text>
        <Segments
          label="Process"
          options={[
            ['print', 'Print'],
            ['mill', 'Mill'],
            ['wire', 'Wire'],
            ['laser', 'Laser'],
          ]}
          value={typed.process}
          onChange={(process) => onChange({ process })}
        />
        <MaterialChoice label="Of" value={typed.material} onChange={(material) => onChange({ material })} />
        {figures(['shrinkage', `Shrinks, % (guide ${guide.shrinkagePercent})`], ['kerf', `Tool cuts, mm (guide ${guide.kerfMm})`])}
      </Card>
    </>
  );
}
