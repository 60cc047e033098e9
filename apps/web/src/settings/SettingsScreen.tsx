import { LENGTH_UNITS } from '@patient-badger/core';
import { View } from 'react-native';
import { SetAside } from './SetAside.tsx';
import { choosePerson, usePerson } from '../data/person.ts';
import { MOST_KEPT } from '../data/kept.ts';
import { useShop } from '../data/shop.ts';
import { lengthUnit, scheme } from '../preferences/preferences.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';

const UNIT_NAMES = { mm: 'Millimetres', inch: 'Inches', thou: 'Thou' } as const;
const SCHEMES = [
  ['device', 'As the device'],
  ['light', 'Light, for the sun'],
  ['dark', 'Dark'],
] as const;

const KEPT_WORDS = `For work without a connection: the bench, the latest finished jobs, and the ${MOST_KEPT.job} jobs that were open here last. Everything that was ever written is on the shop server.`;

/** Who is at the bench, and how this device shows things. */
export function SettingsScreen() {
  const shop = useShop();
  const person = usePerson();
  const unit = lengthUnit.use();
  const shade = scheme.use();
  return (
    <Screen title="You and this device" back="/">
      <Card>
        <Text variant="head">Who is at the bench?</Text>
        <View role="radiogroup" aria-label="Who is at the bench" className="gap-2">
          {shop.data?.people.map(({ id, name, role }) => (
            <Button
              key={id}
              big
              label={name}
              detail={role}
              variant={person === id ? 'chosen' : 'plain'}
              checked={person === id}
              onPress={() => choosePerson(id)}
            />
          ))}
        </View>
        {shop.data ? null : <Text>{shop.error?.message ?? 'Looking who works here …'}</Text>}
      </Card>
      <Card>
        <Text variant="head">Lengths in</Text>
        <Segments
          label="Lengths in"
          options={LENGTH_UNITS.map((each) => [each, UNIT_NAMES[each]] as const)}
          value={unit}
          onChange={lengthUnit.set}
        />
      </Card>
      <Card>
        <Text variant="head">Light</Text>
        <View role="radiogroup" aria-label="Light" className="gap-2">
          {SCHEMES.map(([id, label]) => (
            <Button
              key={id}
              label={label}
              variant={shade === id ? 'chosen' : 'plain'}
              checked={shade === id}
              onPress={() => scheme.set(id)}
            />
          ))}
        </View>
      </Card>
      <Card>
        <Text variant="head">Kept on this device</Text>
        <Text>{KEPT_WORDS}</Text>
      </Card>
      <SetAside />
    </Screen>
  );
}
