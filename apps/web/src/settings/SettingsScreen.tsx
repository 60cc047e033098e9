import { LENGTH_UNITS } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { SetAside } from './SetAside.tsx';
import { MOST_KEPT } from '../data/kept.ts';
import { OwnSecret } from '../people/OwnSecret.tsx';
import { SignOut } from '../people/SignOut.tsx';
import { SwitchPerson } from '../people/SwitchPerson.tsx';
import { UNIT_NAMES } from '../wording/unitNames.ts';
import { lengthUnit, scheme } from '../preferences/preferences.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';

const SCHEMES = [
  ['device', 'As the device'],
  ['light', 'Light, for the sun'],
  ['dark', 'Dark'],
] as const;

const KEPT_WORDS = `For work without a connection: the bench, the latest finished jobs, and the ${MOST_KEPT.job} jobs that were open here last. Everything that was ever written is on the shop server.`;

/** Who is at the bench, and how this device shows things. */
export function SettingsScreen() {
  const router = useRouter();
  const unit = lengthUnit.use();
  const shade = scheme.use();
  return (
    <Screen title="You and this device" back="/">
      <SwitchPerson />
      <OwnSecret />
      <Card>
        <Text variant="head">The shop</Text>
        <Button label="The shop" detail="People, money, units, opening it on a phone" onPress={() => router.navigate('/shop')} />
        <Button label="Devices" detail="Where somebody is signed in" onPress={() => router.navigate('/devices')} />
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
      <SignOut />
    </Screen>
  );
}
