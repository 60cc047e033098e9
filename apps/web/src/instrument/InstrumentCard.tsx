import { t } from '@patient-badger/wording/instrument';
import type { InstrumentReading } from '@patient-badger/core/gear';
import type { InstrumentKind } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { figureText, readingText } from '../wording/readingText.ts';
import { instrumentOn } from './instruments.ts';
import { useInstrument } from './useInstrument.ts';

interface Props {
  readonly jobId: string;
  readonly look: string;
  readonly kind: InstrumentKind;
  /** What a sound machine would show, where that is known. */
  readonly sound?: string | undefined;
  /** The result the reading stands for, in words. */
  readonly resultOf: (reading: InstrumentReading) => string;
  readonly onTake: (reading: InstrumentReading) => void;
}

/** Reads an instrument for a look, says what it showed and what that means, and takes it only when told to. */
export function InstrumentCard({ jobId, look, kind, sound, resultOf, onTake }: Props) {
  const instrument = instrumentOn(jobId, kind);
  const { reading, problem, busy, read } = useInstrument(instrument);
  const [zeroed, setZeroed] = useState(false);
  const ask = (nought: boolean) => {
    setZeroed(nought);
    void read({ look, zeroed: nought });
  };
  const { atRest = 0, unit = 'mm', plusMinus = 0 } = reading ?? {};
  return (
    <Card>
      <Button
        big
        disabled={busy}
        label={busy ? t.readingThe(instrument.name) : t.readThe(instrument.name)}
        detail={sound === undefined ? undefined : t.aSoundOne(sound)}
        testID={`read-${kind}`}
        onPress={() => ask(zeroed)}
      />
      <Problem text={problem} />
      {reading ? (
        <View className="gap-2" aria-live="polite">
          <View className="flex-row flex-wrap items-baseline gap-x-3">
            <Text variant="figure" testID="reading">
              {readingText(reading)}
            </Text>
            {plusMinus > 0 ? <Text variant="label">± {figureText(plusMinus, unit, plusMinus / 10)}</Text> : null}
          </View>
          {Math.abs(atRest) > Math.max(3 * plusMinus, 0.01) ? (
            <View className="gap-2">
              <Text variant="soft">{t.theDisplayStoodAtBefore(figureText(atRest, unit, plusMinus))}</Text>
              <Button label={t.setItToNoughtAnd} onPress={() => ask(true)} />
            </View>
          ) : null}
          {reading.putIn === 0 ? <Text>{t.theDriveStallsNothingGoes}</Text> : null}
          <Button variant="primary" label={t.takeIt(resultOf(reading))} testID="take-reading" onPress={() => onTake(reading)} />
        </View>
      ) : null}
    </Card>
  );
}
