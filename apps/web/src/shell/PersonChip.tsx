import { t } from '@patient-badger/wording/shell';
import { useRouter } from 'expo-router';
import UserRound from 'lucide-react-native/icons/user-round';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { usePerson } from '../data/person.ts';
import { useShop } from '../data/shop.ts';

/** Who writes here; press to change. */
export function PersonChip() {
  const router = useRouter();
  const person = usePerson();
  const colours = useColours();
  const name = useShop().data?.people.find(({ id }) => id === person)?.name ?? person;
  return (
    <LinkArea
      aria-label={name ? t.isAtTheBenchChange(name) : t.whoSayWhoYouAre}
      className="min-h-[48px] flex-row items-center gap-2 px-2"
      onPress={() => router.navigate('/settings')}
    >
      <UserRound color={colours.accent} size={22} />
      <Text variant="label" className="text-ink">
        {name ?? t.who}
      </Text>
    </LinkArea>
  );
}
