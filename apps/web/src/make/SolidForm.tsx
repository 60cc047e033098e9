import { t } from '@patient-badger/wording/make';
import { t as shared } from '@patient-badger/wording/shared';
import { Card } from '../design/Card.tsx';
import { Figures, type FigureOf } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import type { SolidKind, TypedSolid } from './solidQuestion.ts';

type NumberField = Exclude<keyof TypedSolid, 'bore' | 'process' | 'material' | 'profile' | 'hand' | 'form' | 'member'>;

const THREAD: readonly FigureOf<NumberField>[] = [
  ['starts', t.starts],
  ['moduleMm', t.axialModule],
  ['wormDiameterMm', t.wormPitchDiameterIn, 'mm'],
  ['pressureAngleDeg', t.pressureAngle],
];
const FIELDS: Readonly<Record<SolidKind, readonly FigureOf<NumberField>[]>> = {
  worm: [...THREAD, ['lengthMm', t.threadedLengthIn, 'mm'], ['wheelTeeth', t.teethOfItsWheel]],
  wormWheel: [['wheelTeeth', shared.teeth], ['faceMm', shared.faceWidthIn, 'mm'], ['backlashMm', t.backlashIn, 'mm'], ...THREAD],
  rack: [
    ['wheelTeeth', shared.teeth],
    ['moduleMm', shared.moduleMm],
    ['pressureAngleDeg', t.pressureAngle],
    ['faceMm', shared.faceWidthIn, 'mm'],
    ['backMm', t.behindTheRootsIn, 'mm'],
    ['backlashMm', t.thinnerForBacklashIn, 'mm'],
  ],
  bevel: [
    ['pinionTeeth', t.teethOfThePinion],
    ['wheelTeeth', t.teethOfTheWheel],
    ['moduleMm', t.outerModule],
    ['faceMm', shared.faceWidthIn, 'mm'],
    ['shaftAngleDeg', t.shaftAngle],
    ['pressureAngleDeg', t.pressureAngle],
    ['backlashMm', t.backlashIn, 'mm'],
  ],
};

/** The teeth of a worm, its wheel, a bevel or a rack. */
export function SolidForm({
  kind,
  typed,
  onChange,
}: {
  kind: SolidKind;
  typed: TypedSolid;
  onChange: (change: Partial<TypedSolid>) => void;
}) {
  return (
    <Card>
      <Text variant="head">{shared.teeth}</Text>
      <Figures typed={typed} fields={FIELDS[kind]} onChange={onChange} testID={(name) => `make-${name}`} />
      {kind === 'bevel' ? (
        <Segments
          label={t.whichOfTheTwo}
          options={[
            ['pinion', t.thePinion],
            ['wheel', t.theWheel],
          ]}
          value={typed.member}
          onChange={(member) => onChange({ member })}
        />
      ) : null}
      {kind === 'worm' || kind === 'wormWheel' ? (
        <>
          <Segments
            label={t.flankForm}
            options={[
              ['ZI', t.flankZI],
              ['ZA', t.flankZA],
              ['ZN', t.flankZN],
            ]}
            value={typed.profile}
            onChange={(profile) => onChange({ profile })}
          />
          <Segments
            label={t.handOfTheWorm}
            options={[
              ['right', t.rightHand],
              ['left', t.leftHand],
            ]}
            value={typed.hand}
            onChange={(hand) => onChange({ hand })}
          />
        </>
      ) : null}
      {kind === 'wormWheel' ? (
        <Segments
          label={t.formOfTheFace}
          options={[
            ['straight', t.straightFace],
            ['throated', t.throatedFace],
          ]}
          value={typed.form}
          onChange={(form) => onChange({ form })}
        />
      ) : null}
    </Card>
  );
}
