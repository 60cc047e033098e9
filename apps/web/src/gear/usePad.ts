import { t } from '@patient-badger/wording/gear';
import { parseReading, toMm, type InstrumentId, type Measurement } from '@patient-badger/core';
import { trueValue, type InstrumentReading } from '@patient-badger/core/gear';
import { useState } from 'react';
import { LENGTH_WORDS } from '../preferences/figureUnit.ts';
import { instrument as instrumentChoice, lengthUnit } from '../preferences/preferences.ts';
import { enteredBefore, toolFor, whatIsWrong } from './padReading.ts';
import type { QuantityWords } from './QuantityWords.ts';
import { usePadKeys } from './usePadKeys.ts';
import { messageOf } from '../wording/messageOf.ts';

export interface PadEntry {
  readonly reading: Measurement;
  readonly over?: number;
  readonly instrument: string;
  readonly entered: string;
}

export interface PadOptions {
  readonly words: QuantityWords;
  /** With whether the next one worth reading is wanted at once. */
  readonly onKeep: (entered: PadEntry, goOn: boolean) => void;
  readonly onClose: () => void;
  /** Reads the caliper on the bench, in the unit asked for, where it can be put to this gear. */
  readonly caliper?: ((unit: 'mm' | 'in') => Promise<InstrumentReading>) | undefined;
}

/** What is typed on the number pad, with the unit and the instrument, until it is kept as a reading. */
export function usePad({ words, onKeep, onClose, caliper }: PadOptions) {
  const unit = lengthUnit.use();
  const chosen = instrumentChoice.use() as InstrumentId;
  const [typed, setTyped] = useState('');
  const [over, setOver] = useState(words.over?.usual);
  const [problem, setProblem] = useState<string | null>(null);
  const tool = toolFor(words.kind, chosen);

  const keep = (goOn = false) => {
    const value = parseReading(typed);
    const wrong = whatIsWrong({ typed, value, unit }, words);
    if (value === null || wrong) return setProblem(wrong ?? t.thatIsNotOneNumber);
    const length = words.kind === 'length';
    const entered = {
      reading: { value: length ? toMm(value, unit) : value, plusMinus: tool.plusMinus },
      ...(words.over && over ? { over } : {}),
      instrument: tool.id,
      entered: `${typed} ${length ? LENGTH_WORDS[unit] : ''}${words.kind === 'angle' ? '°' : ''}`.trim(),
    };
    onKeep(entered, goOn);
  };
  const press = (key: string) => {
    setProblem(null);
    setTyped((was) => (was + key).slice(0, 12));
  };
  const fromCaliper = async () => {
    try {
      const shown = await caliper?.(unit === 'mm' ? 'mm' : 'in');
      if (!shown) return;
      setTyped(String(Number((trueValue(shown) * (unit === 'thou' ? 1000 : 1)).toFixed(unit === 'inch' ? 4 : 2))));
      const { atRest = 0 } = shown;
      setProblem(atRest === 0 ? null : t.theJawsStoodAtWhen(atRest, shown.unit));
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  /** The last reading again, in the unit that it was read in. */
  const again = (entered: string) => {
    const before = enteredBefore(entered);
    if (before.unit) lengthUnit.set(before.unit);
    setProblem(null);
    setTyped(before.typed);
  };
  const remove = () => setTyped((was) => was.slice(0, -1));
  usePadKeys({ press, remove, keep, close: onClose });
  return { unit, typed, again, over, setOver, problem, tool, press, remove, keep, fromCaliper };
}
