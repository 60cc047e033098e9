import { t } from '@patient-badger/wording/settings';
import { t as shared } from '@patient-badger/wording/shared';
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
  ['device', t.asTheDevice],
  ['light', t.lightForTheSun],
  ['dark', t.dark],
] as const;

const KEPT_WORDS = t.forWorkWithoutAConnection(MOST_KEPT.job ?? 0);

/** Who is at the bench, and how this device shows things. */
export function SettingsScreen() {
  const router = useRouter();
  const unit = lengthUnit.use();
  const shade = scheme.use();
  return (
    <Screen title={t.youAndThisDevice} back="/">
      <SwitchPerson />
      <OwnSecret />
      <Card>
        <Text variant="head">{shared.theShop}</Text>
        <Button label={shared.theShop} detail={t.peopleMoneyUnitsOpeningIt} onPress={() => router.navigate('/shop')} />
        <Button label={t.devices} detail={t.whereSomebodyIsSignedIn} onPress={() => router.navigate('/devices')} />
      </Card>
      <Card>
        <Text variant="head">{t.lengthsIn}</Text>
        <Segments
          label={t.lengthsIn}
          options={LENGTH_UNITS.map((each) => [each, UNIT_NAMES[each]] as const)}
          value={unit}
          onChange={lengthUnit.set}
        />
      </Card>
      <Card>
        <Text variant="head">{t.light}</Text>
        <View role="radiogroup" aria-label={t.light} className="gap-2">
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
        <Text variant="head">{t.keptOnThisDevice}</Text>
        <Text>{KEPT_WORDS}</Text>
      </Card>
      <SetAside />
      <SignOut />
    </Screen>
  );
}
