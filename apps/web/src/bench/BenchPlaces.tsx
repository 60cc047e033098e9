import { t } from '@patient-badger/wording/bench';
import { t as shared } from '@patient-badger/wording/shared';
import { useRouter } from 'expo-router';
import Archive from 'lucide-react-native/icons/archive';
import Calculator from 'lucide-react-native/icons/calculator';
import Lightbulb from 'lucide-react-native/icons/lightbulb';
import Package from 'lucide-react-native/icons/package';
import Wrench from 'lucide-react-native/icons/wrench';
import Workflow from 'lucide-react-native/icons/workflow';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

const PLACES = [
  { to: '/machines', name: shared.machines, Icon: Wrench },
  { to: '/families', name: t.families, Icon: Workflow },
  { to: '/ratio', name: t.ratios, Icon: Calculator },
  { to: '/parts', name: shared.parts, Icon: Package },
  { to: '/shelf', name: t.shelf, Icon: Archive },
  { to: '/learnt', name: t.learnt, Icon: Lightbulb },
] as const;

/** Where else one can go from the bench, without a job. */
export function BenchPlaces() {
  const router = useRouter();
  const colours = useColours();
  return (
    <View role="navigation" aria-label={t.elsewhereInTheShop} className="flex-row gap-1">
      {PLACES.map(({ to, name, Icon }) => (
        <LinkArea
          key={to}
          aria-label={name}
          onPress={() => router.navigate(to)}
          className="min-h-[58px] flex-1 items-center justify-center rounded-md border-2 border-line bg-surface active:opacity-70"
        >
          <Icon color={colours.accent} size={22} />
          <Text variant="label" className="text-ink">
            {name}
          </Text>
        </LinkArea>
      ))}
    </View>
  );
}
