import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shell';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';

const KEYS = [
  ['?', t.thisSheet],
  ['b', shared.toTheBench],
  ['n', shared.takeInAMachine],
  ['f', shared.machineFamilies],
  ['s', t.searchFindAMachineAn],
  ['l', t.doTheNextLook],
  ['v', shared.seeTheReasonsAndDecide],
  ['u', shared.takeTheLastLookBack],
  [shared.spaceKey, t.theStepThatLiesOpen],
  ['x', t.theStepWillNotCome],
  ['↓ ↑', t.anotherStepOfThePlan],
  ['c', t.confirmTheCautionDoneSo],
  ['1 … 9', t.whatWasSeenByIts],
  [shared.enterKey, t.withTwoSidesThatIs],
  ['0', shared.iCannotTell],
  [t.tabEnter, t.goThroughEverythingOnThe],
  [t.esc, t.closeWhatIsOpen],
] as const;

/** Keys for the counter; `?` lists them. */
export function KeySheet() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useKeys({
    '?': () => setOpen((was) => !was),
    // Only while it is open: elsewhere the key shuts what else stands in front.
    Escape: open ? () => setOpen(false) : undefined,
    b: () => router.navigate('/'),
    n: () => router.navigate('/take-in'),
    f: () => router.navigate('/families'),
    s: () => router.navigate('/find'),
  });
  if (!open) return null;
  return (
    <View role="dialog" aria-label={t.keys} aria-modal className="fixed inset-0 items-center justify-center bg-ink/60 p-4">
      <View className="w-full max-w-[480px] gap-3 rounded-lg border-2 border-line bg-surface p-5">
        <Text variant="title">{t.keys}</Text>
        {KEYS.map(([key, does]) => (
          <View key={key} className="flex-row gap-4">
            <Text variant="figure" className="min-w-[110px]">
              {key}
            </Text>
            <Text className="flex-1">{does}</Text>
          </View>
        ))}
        <Button label={shared.close} onPress={() => setOpen(false)} />
      </View>
    </View>
  );
}
