import { INSTRUMENT_NAMES } from '@patient-badger/wording/instruments';
import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { INSTRUMENTS, LENGTH_UNITS } from '@patient-badger/core';
import Delete from 'lucide-react-native/icons/delete';
import { Pressable, View } from 'react-native';
import { LENGTH_WORDS } from '../preferences/figureUnit.ts';
import { instrument as instrumentChoice, lengthUnit } from '../preferences/preferences.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { Choice, Key, Stepper } from '../design/padKeys.tsx';
import { LENGTH_TOOLS } from './padReading.ts';
import { usePad, type PadOptions } from './usePad.ts';

interface Props extends PadOptions {
  readonly last?: string | undefined;
  /** Another reading may follow: a press keeps this one and goes on to it. */
  readonly goesOn?: boolean | undefined;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '/'] as const;

/** The bench's number pad: big keys, the unit beside the number, the instrument and its ±. */
export function Pad({ words, last, goesOn = false, onKeep, onClose, caliper }: Props) {
  const colours = useColours();
  const { unit, typed, again, over, setOver, problem, tool, press, remove, keep, fromCaliper } = usePad({
    words,
    onKeep,
    onClose,
    caliper,
  });

  return (
    <View className="w-full max-w-[640px] gap-2 rounded-t-lg border-2 border-accent bg-surface p-3" role="dialog" aria-label={words.name}>
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="head" className="flex-1">
          {words.name}
        </Text>
        {last ? (
          <Pressable role="button" aria-label={t.last(last)} className="min-h-[48px] justify-center px-2" onPress={() => again(last)}>
            <Text variant="label">{t.last(last)}</Text>
          </Pressable>
        ) : null}
      </View>
      <Text variant="soft">{words.how}</Text>
      {words.over && over ? <Stepper ask={words.over.ask} value={over} onChange={setOver} /> : null}
      <View className="min-h-[56px] flex-row items-center justify-between rounded-md bg-sunken px-3" aria-live="polite">
        <Text variant="title" testID="pad-display">
          {typed || '–'}
        </Text>
        <Text variant="label" className="text-ink">
          {words.kind === 'length' ? LENGTH_WORDS[unit] : ''}
          {words.kind === 'angle' ? '°' : ''}
          {words.kind === 'count' ? '' : ` ± ${tool.plusMinus}${words.kind === 'length' ? ' mm' : '°'}`}
        </Text>
      </View>
      <Problem text={problem} />
      <View className="flex-row gap-2">
        <View className="flex-1 flex-row flex-wrap" style={{ gap: 6 }}>
          {KEYS.map((key) => (
            <Key key={key} label={key} onPress={() => press(key)} />
          ))}
        </View>
        <View className="w-[84px] gap-[6px]">
          <Pressable
            role="button"
            aria-label={t.delete2}
            className="h-[54px] items-center justify-center rounded-md border-2 border-line active:opacity-70"
            onPress={remove}
          >
            <Delete color={colours.ink} size={24} />
          </Pressable>
          {words.kind === 'length' ? (
            <View role="radiogroup" aria-label={t.readIn} className="gap-[6px]">
              {LENGTH_UNITS.map((other) => (
                <Choice
                  key={other}
                  className="h-[54px]"
                  label={LENGTH_WORDS[other]}
                  chosen={other === unit}
                  onPress={() => lengthUnit.set(other)}
                />
              ))}
            </View>
          ) : null}
        </View>
      </View>
      {words.kind === 'length' ? (
        <View role="radiogroup" aria-label={t.measuredWith} className="flex-row gap-[6px]">
          {LENGTH_TOOLS.map((id) => (
            <Choice
              key={id}
              className="min-h-[62px] flex-1"
              label={INSTRUMENT_NAMES[id]}
              detail={`± ${INSTRUMENTS[id].plusMinus}`}
              chosen={id === tool.id}
              onPress={() => instrumentChoice.set(id)}
            />
          ))}
        </View>
      ) : null}
      {caliper && words.kind === 'length' && tool.id === 'digitalCaliper' ? (
        <Button label={t.fromTheCaliper} testID="from-caliper" onPress={() => void fromCaliper()} />
      ) : null}
      <View className="flex-row gap-2">
        <Button className="flex-1" label={shared.close} testID="pad-close" onPress={onClose} />
        <Button
          className={goesOn ? 'flex-1' : 'flex-[2]'}
          variant={goesOn ? 'plain' : 'primary'}
          label={goesOn ? t.keep : shared.keepTheReading}
          testID="keep-reading"
          onPress={() => keep()}
        />
        {goesOn ? (
          <Button className="flex-1" variant="primary" label={t.keepAndGoOn} testID="keep-and-go-on" onPress={() => keep(true)} />
        ) : null}
      </View>
    </View>
  );
}
