import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button } from './Button.tsx';
import { isTyping } from './isTyping.ts';
import { Text } from './Text.tsx';

const KEYS = [
  ['?', 'This sheet'],
  ['b', 'To the bench'],
  ['n', 'Take in a machine'],
  ['1 … 9', 'Press the result with that number on a look sheet'],
  ['Tab, Enter', 'Go through everything on the screen and press it'],
  ['Esc', 'Close what is open'],
] as const;

/** Keys for the counter; `?` lists them. */
export function KeySheet() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') setOpen((was) => !was);
      if (event.key === 'Escape') setOpen(false);
      if (event.key === 'b') router.navigate('/');
      if (event.key === 'n') router.navigate('/take-in');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  if (!open) return null;
  return (
    <View role="dialog" aria-label="Keys" aria-modal className="fixed inset-0 items-center justify-center bg-ink/60 p-4">
      <View className="w-full max-w-[480px] gap-3 rounded-lg border-2 border-line bg-surface p-5">
        <Text look="title">Keys</Text>
        {KEYS.map(([key, does]) => (
          <View key={key} className="flex-row gap-4">
            <Text look="figure" className="min-w-[110px]">
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
