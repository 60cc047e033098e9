import { t } from '@patient-badger/wording/people';
import { useQuery } from '@tanstack/react-query';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { encode } from 'uqr';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

const address = z.object({ address: z.string().nullable() });
const SIDE = 220;

/** The address of the shop as a code that a phone's camera opens. */
export function PhoneAddress() {
  const found = useQuery({ queryKey: ['address'], queryFn: () => call('/api/address', address), staleTime: 60_000 }).data;
  if (!found) return null;
  if (found.address === null) {
    return (
      <Card>
        <Text variant="head">{t.openItOnAPhone}</Text>
        <Text>{t.thisServerAnswersOnIts}</Text>
      </Card>
    );
  }
  return (
    <Card>
      <Text variant="head">{t.openItOnAPhone}</Text>
      <Text>{t.holdThePhonesCameraOver}</Text>
      <Code text={found.address} />
      <Text variant="strong" selectable>
        {found.address}
      </Text>
    </Card>
  );
}

function Code({ text }: { text: string }) {
  const { data, size } = encode(text, { border: 3 });
  const dark = data.flatMap((row, y) => row.flatMap((is, x) => (is ? [`M${x} ${y}h1v1h-1z`] : []))).join('');
  return (
    <View className="items-center py-2" role="img" aria-label={t.codeFor(text)}>
      {/* Dark on light whatever the scheme: cameras want it so. */}
      <Svg width={SIDE} height={SIDE} viewBox={`0 0 ${size} ${size}`}>
        <Rect width={size} height={size} fill="#ffffff" />
        <Path d={dark} fill="#000000" />
      </Svg>
    </View>
  );
}
