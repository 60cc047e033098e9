import type { Pack } from '@patient-badger/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { resultName } from '../wording/resultName.ts';

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
    return <Button label="Nobody complains: found at the service" testID="at-service" onPress={() => setOpen(true)} />;
  }
  return (
    <Card>
      <Text variant="head">Found at the service</Text>
      <Text variant="soft">It is kept as the first look, and tracing starts from it.</Text>
      <View className="gap-2">
        {pack.finds.map((each) => {
          const result = resultName(pack, each.look, each.result);
          const look = pack.looks.find(({ id }) => id === each.look)?.name ?? each.look;
          const chosen = find?.look === each.look && find.result === each.result;
          return (
            <Button
              key={`${each.look} ${each.result}`}
              label={result}
              detail={look}
              variant={chosen ? 'chosen' : 'plain'}
              testID={`find-${each.look}-${each.result}`}
              onPress={() => onFind(each, `${result} (${look})`)}
            />
          );
        })}
      </View>
    </Card>
  );
}
