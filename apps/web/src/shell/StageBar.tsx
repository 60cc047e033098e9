import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shell';
import { useRouter } from 'expo-router';
import ClipboardCheck from 'lucide-react-native/icons/clipboard-check';
import PackageOpen from 'lucide-react-native/icons/package-open';
import PackageSearch from 'lucide-react-native/icons/package-search';
import Ruler from 'lucide-react-native/icons/ruler';
import Scale from 'lucide-react-native/icons/scale';
import ScrollText from 'lucide-react-native/icons/scroll-text';
import Waypoints from 'lucide-react-native/icons/waypoints';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

const STAGES = [
  { id: 'trace', name: t.trace, Icon: Waypoints },
  { id: 'open', name: t.open, Icon: PackageOpen },
  { id: 'measure', name: t.measure, Icon: Ruler },
  { id: 'match', name: t.match, Icon: PackageSearch },
  { id: 'decide', name: shared.decide, Icon: Scale },
  { id: 'close', name: shared.close, Icon: ClipboardCheck },
  { id: 'log', name: t.log, Icon: ScrollText },
] as const;
export type Stage = (typeof STAGES)[number]['id'];

/** The walk through a job; any stage can be entered at any time. */
export function StageBar({ jobId, stage, gear }: { jobId: string; stage: Stage; gear: string | undefined }) {
  const router = useRouter();
  const colours = useColours();
  const to: Record<Stage, string> = {
    trace: '',
    open: '/open',
    measure: `/gear/${gear}`,
    match: `/parts/${gear}`,
    decide: '/decide',
    close: '/close',
    log: '/log',
  };
  const shown = STAGES.filter(({ id }) => gear !== undefined || (id !== 'measure' && id !== 'match'));
  return (
    <View role="navigation" aria-label={t.stagesOfTheJob} className="no-print items-center border-t-2 border-line bg-surface">
      <View className="w-full max-w-[640px] flex-row">
        {shown.map(({ id, name, Icon }) => {
          const here = id === stage;
          return (
            <LinkArea
              key={id}
              aria-label={name}
              aria-current={here ? 'page' : undefined}
              onPress={() => router.navigate(`/jobs/${jobId}${to[id]}`)}
              className={`min-h-[58px] flex-1 items-center justify-center border-t-4 ${here ? 'border-accent' : 'border-transparent'}`}
            >
              <Icon color={here ? colours.accent : colours.soft} size={22} />
              <Text variant="label" className={here ? 'text-accent' : ''}>
                {name}
              </Text>
            </LinkArea>
          );
        })}
      </View>
    </View>
  );
}
