import { t as shared } from '@patient-badger/wording/shared';
import { useRouter, type Href } from 'expo-router';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { ConnectionNote } from './ConnectionNote.tsx';
import { PersonChip } from './PersonChip.tsx';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

interface Props {
  readonly title: string;
  readonly under?: string | undefined;
  readonly back?: Href | undefined;
  readonly children: ReactNode;
  /** Stays at the thumb while the rest scrolls. */
  readonly foot?: ReactNode | undefined;
  readonly wide?: boolean | undefined;
  /** A row of its own under the foot: where else one can go. */
  readonly below?: ReactNode | undefined;
  /** Another value begins at the top again: what stands there has become something else. */
  readonly scrollKey?: string | undefined;
  /** The work takes the whole height and scrolls inside itself: long tables. */
  readonly fill?: boolean | undefined;
  /** What stands at the foot lies side by side over the whole width, where there is width. */
  readonly footAcross?: boolean | undefined;
}

/** The frame of a screen: where one is, who one is, the work, and the thing to press. */
export function Screen({ title, under, back, children, foot, below, scrollKey, wide = false, fill = false, footAcross = false }: Props) {
  const router = useRouter();
  const colours = useColours();
  const width = wide ? 'max-w-[1180px]' : 'max-w-[640px]';
  return (
    <View className="flex-1 bg-paper">
      <View className="no-print flex-row items-center gap-2 border-b-2 border-line bg-surface px-2 py-1" role="banner">
        {back ? (
          <LinkArea aria-label={shared.back} className="h-12 w-12 items-center justify-center" onPress={() => router.navigate(back)}>
            <ArrowLeft color={colours.ink} size={26} />
          </LinkArea>
        ) : (
          <View className="w-2" />
        )}
        <View className="min-h-[52px] flex-1 justify-center">
          <Text variant="head" role="heading" aria-level={1} numberOfLines={2}>
            {title}
          </Text>
          {under ? (
            <Text variant="soft" numberOfLines={below && !wide ? 1 : 2}>
              {under}
            </Text>
          ) : null}
        </View>
        <PersonChip />
      </View>
      <ConnectionNote />
      {fill ? (
        <View role="main" className="min-h-0 flex-1 items-center px-4 pt-4">
          <View className={`min-h-0 w-full flex-1 gap-3 ${width}`}>{children}</View>
        </View>
      ) : (
        <ScrollView key={scrollKey} className="flex-1" contentContainerClassName="items-center p-4 pb-8">
          <View role="main" className={`w-full gap-4 ${width}`}>
            {children}
          </View>
        </ScrollView>
      )}
      {foot ? (
        <View className="no-print items-center border-t-2 border-line bg-surface p-3">
          <View className={wide && footAcross ? 'w-full max-w-[1180px] flex-row items-center gap-4' : 'w-full max-w-[640px] gap-2'}>
            {foot}
          </View>
        </View>
      ) : null}
      {below}
    </View>
  );
}
