import { t } from '@patient-badger/wording/scan';
import { t as shared } from '@patient-badger/wording/shared';
import { parseReading, toMm } from '@patient-badger/core';
import type { ScanReference, ScanScale } from '@patient-badger/core/gear';
import { useState } from 'react';
import { View } from 'react-native';
import { lengthUnit } from '../preferences/preferences.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import type { Spot } from './ScanPhoto.tsx';

export type Laying = 'nothing' | 'middle' | 'rim' | 'length' | 'beside';

interface Props {
  readonly laying: Laying;
  readonly onLaying: (laying: Laying) => void;
  readonly length: readonly Spot[];
  readonly onLength: (scale: ScanScale) => void;
  readonly known?: number | undefined;
  readonly rim?: number | undefined;
  /** Absent where the thing has no middle and no rim. */
  readonly onRim?: (tipRadiusPx: number) => void;
  /** Absent while nothing was put right. */
  readonly onReset?: (() => void) | undefined;
  /** What lies beside the gear, to be found on the photo. */
  readonly onReference?: ((reference: ScanReference) => void) | undefined;
}

const HOW: Readonly<Record<Laying, string>> = {
  nothing: t.chooseWhatToPutRight,
  middle: t.tapTheMiddleOfThe,
  rim: t.tapTheTipOfA,
  length: t.tapBothEndsOfA,
  beside: t.somethingOfAKnownSize,
};

const WHAT = {
  middle: ['middle', t.middle],
  rim: ['rim', t.tips],
  length: ['length', shared.length2],
  beside: ['beside', t.besideIt],
} as const;

/** Share of the radius that one press moves the rim. */
const NUDGE = 0.004;

/** Where the eye beats the app: the middle, the rim, and a length that gives the millimetres. */
export function PutRight({ laying, onLaying, length, onLength, known, rim, onRim, onReset, onReference }: Props) {
  return (
    <View className="gap-2">
      <Text variant="head">{t.putItRightOnThe}</Text>
      <Segments
        label={t.whatToPutRight}
        options={[...(onRim ? [WHAT.middle, WHAT.rim] : []), WHAT.length, ...(onReference ? [WHAT.beside] : [])]}
        value={laying === 'nothing' ? undefined : laying}
        onChange={onLaying}
      />
      <Text variant="soft">{HOW[laying]}</Text>
      {laying === 'rim' && rim && onRim ? (
        <View className="flex-row gap-2">
          <Button className="flex-1" label={t.narrower} onPress={() => onRim(rim * (1 - NUDGE))} />
          <Button className="flex-1" label={t.wider} onPress={() => onRim(rim * (1 + NUDGE))} />
        </View>
      ) : null}
      {laying === 'length' && length.length === 2 ? (
        <KnownLength ends={[length[0] as Spot, length[1] as Spot]} known={known} onLength={onLength} />
      ) : null}
      {laying === 'beside' && onReference ? <Beside onReference={onReference} /> : null}
      {onReset ? <Button variant="quiet" label={t.letTheAppLookAgain} onPress={onReset} /> : null}
    </View>
  );
}

function KnownLength({
  ends: [from, to],
  known,
  onLength,
}: {
  ends: readonly [Spot, Spot];
  known?: number | undefined;
  onLength: Props['onLength'];
}) {
  const unit = lengthUnit.use();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  const use = () => {
    const value = parseReading(typed);
    const lengthMm = value === null ? NaN : toMm(value, unit);
    if (!(lengthMm > 0 && lengthMm <= 2000)) return setProblem(t.howLongIsItType);
    setProblem(undefined);
    onLength({ from, to, lengthMm });
  };
  return (
    <View className="gap-2">
      <Field
        label={t.lengthBetweenTheTwoIn(unit === 'inch' ? t.inches : unit, known ? t.keptMm(known.toFixed(2)) : '')}
        value={typed}
        onChangeText={setTyped}
        inputMode="decimal"
        problem={problem}
      />
      <Button label={t.useThisLength} testID="use-length" disabled={typed.trim() === ''} onPress={use} />
    </View>
  );
}

/** A disc is measured with the caliper first, within these, mm. */
const DISC_MM = [5, 200] as const;

function Beside({ onReference }: { onReference: (reference: ScanReference) => void }) {
  const [typed, setTyped] = useState<{ diameter?: string }>({});
  const [problem, setProblem] = useState<string>();
  const use = () => {
    const diameterMm = typedNumber(typed.diameter ?? '');
    if (!(diameterMm >= DISC_MM[0] && diameterMm <= DISC_MM[1])) return setProblem(t.howWideIsTheDisc);
    setProblem(undefined);
    onReference({ kind: 'disc', diameterMm });
  };
  return (
    <View className="gap-2">
      <Button label={t.aCardOfThe} testID="beside-card" onPress={() => onReference({ kind: 'card' })} />
      <Figures
        typed={typed}
        fields={[['diameter', t.aDiscIn, 'mm']]}
        onChange={setTyped}
        testID={() => 'beside-diameter'}
        problems={problem ? { diameter: problem } : undefined}
      />
      <Button label={t.useThisDisc} testID="beside-disc" onPress={use} />
    </View>
  );
}
