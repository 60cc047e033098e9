import { t } from '@patient-badger/wording/driveline';
import { t as shared } from '@patient-badger/wording/shared';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Bar, Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';

/** How the shaft runs behind the sign, so that the chain is one line however high the words make the row. */
const RUN = { through: 'bottom-0 top-0', below: 'bottom-0 top-1/2', above: 'bottom-1/2 top-0', none: '' } as const;
export type RunOfShaft = keyof typeof RUN;

interface Props {
  readonly name: string;
  /** One sign for each chain that is shown side by side. */
  readonly glyphs: readonly ReactNode[];
  /** What it does in motion, a line each; the marked one is where the fault shows. */
  readonly words?: readonly { readonly text: string; readonly marked?: boolean }[] | undefined;
  /** Of the width of a bar. */
  readonly share?: number | undefined;
  readonly chance?: number | undefined;
  readonly next?: boolean | undefined;
  readonly depth?: number | undefined;
  readonly quiet?: boolean | undefined;
  readonly narrow?: boolean | undefined;
  readonly run?: RunOfShaft | undefined;
  /** The chain whose shaft is interrupted here. */
  readonly gapAt?: number | undefined;
  readonly onPress?: (() => void) | undefined;
  readonly expanded?: boolean | undefined;
}

/** One row of the drive line: a station, a joint, or something beside the chain. */
export function Place({
  name,
  glyphs,
  words,
  share,
  chance,
  next = false,
  depth,
  quiet,
  narrow,
  run = 'none',
  gapAt,
  onPress,
  expanded,
}: Props) {
  return (
    <Pressable
      disabled={!onPress}
      role={onPress ? 'button' : undefined}
      aria-expanded={onPress ? expanded : undefined}
      onPress={onPress}
      className={`min-h-[48px] flex-row ${narrow ? 'gap-1' : 'gap-2'}`}
    >
      {glyphs.map((glyph, i) => (
        <View key={i} className="w-[68px] justify-center">
          {run === 'none' || i === gapAt ? null : <View aria-hidden className={`absolute left-[32.5px] w-[3px] bg-soft ${RUN[run]}`} />}
          {/* A view of its own lies above the run; a bare drawing would lie below. */}
          <View>{glyph}</View>
        </View>
      ))}
      <View className="min-w-0 flex-1 justify-center">
        <View className={next ? 'rounded-md border-2 border-heat px-2 py-1' : ''}>
          <View className="flex-row flex-wrap items-baseline gap-x-2">
            <Text variant={quiet ? 'soft' : 'strong'} className={quiet ? 'text-ink' : ''}>
              {name}
            </Text>
            {depth ? <Text variant="soft">{t.inWithDepthAndMore(depth, depth === 1 ? shared.step : shared.steps)}</Text> : null}
            {next ? (
              <Text variant="label" className="text-heat">
                {t.nextLook}
              </Text>
            ) : null}
          </View>
          {words?.map(({ text, marked }) => (
            <Text key={text} variant="soft" className={marked ? 'font-strong text-heat' : ''}>
              {text}
            </Text>
          ))}
          {share === undefined ? null : <Bar share={share} />}
          {chance !== undefined && chance >= 0.005 ? <Meter chance={chance} narrow={narrow} /> : null}
        </View>
      </View>
    </Pressable>
  );
}
