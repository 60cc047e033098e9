import { t } from '@patient-badger/wording/intake';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { resultName } from '@patient-badger/wording/results';

export type Find = Pack['finds'][number];

interface Props {
  readonly pack: Pack;
  readonly find: Find | null;
  readonly onFind: (find: Find, words: string) => void;
}

/** Nobody complains: one find at a service, with which the tracing begins. */
export function FoundAtService({ pack, find, onFind }: Props) {
  const [open, setOpen] = useState(false);
  if (pack.finds.length === 0) return null;
  if (!open && !find) {
    return <Button label={t.nobodyComplainsFoundAtThe} testID="at-service" onPress={() => setOpen(true)} />;
  }
  return (
    <Card>
      <Text variant="head">{t.foundAtTheService}</Text>
      <Text variant="soft">{t.itIsKeptAsThe}</Text>
      <View className="gap-2">
        {pack.finds.map((possible) => {
          const result = resultName(pack, possible.look, possible.result);
          const look = pack.looks.find(({ id }) => id === possible.look)?.name ?? possible.look;
          const chosen = find?.look === possible.look && find.result === possible.result;
          return (
            <Button
              key={`${possible.look} ${possible.result}`}
              label={result}
              detail={look}
              variant={chosen ? 'chosen' : 'plain'}
              testID={`find-${possible.look}-${possible.result}`}
              onPress={() => onFind(possible, `${result} (${look})`)}
            />
          );
        })}
      </View>
    </Card>
  );
}
