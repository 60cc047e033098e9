import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';

const KEYS = [
  ['?', 'This sheet'],
  ['b', 'To the bench'],
  ['n', 'Take in a machine'],
  ['f', 'Machine families'],
  ['s', 'Search: find a machine, an owner, a plate, a part, a job or a model'],
  ['l', 'Do the next look'],
  ['v', 'See the reasons and decide'],
  ['u', 'Take the last look back'],
  ['Space', 'The step that lies open is done'],
  ['x', 'The step will not come: what is in the way'],
  ['↓ ↑', 'Another step of the plan, or of the way back'],
  ['c', 'Confirm the caution: done so, I take care'],
  ['1 … 9', 'What was seen, by its number; with two sides first the one, then the other'],
  ['Enter', 'With two sides: that is what both do'],
  ['0', 'I cannot tell'],
  ['Tab, Enter', 'Go through everything on the screen and press it'],
  ['Esc', 'Close what is open'],
] as const;

/** Keys for the counter; `?` lists them. */
export function KeySheet() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useKeys({
    '?': () => setOpen((was) => !was),
    Escape: () => setOpen(false),
    b: () => router.navigate('/'),
    n: () => router.navigate('/take-in'),
    f: () => router.navigate('/families'),
    s: () => router.navigate('/find'),
  });
  if (!open) return null;
  return (
    <View role="dialog" aria-label="Keys" aria-modal className="fixed inset-0 items-center justify-center bg-ink/60 p-4">
      <View className="w-full max-w-[480px] gap-3 rounded-lg border-2 border-line bg-surface p-5">
        <Text variant="title">Keys</Text>
        {KEYS.map(([key, does]) => (
          <View key={key} className="flex-row gap-4">
            <Text variant="figure" className="min-w-[110px]">
              {key}
            </Text>
            <Text className="flex-1">{does}</Text>
          </View>
        ))}
        <Button label="Close" onPress={() => setOpen(false)} />
      </View>
    </View>
  );
}
