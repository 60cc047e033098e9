import { t } from '@patient-badger/wording/entrance';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { standing } from '../data/signedOut.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { DoorScreen } from './DoorScreen.tsx';
import { SignInForm, useSignIn } from '../shell/SignInForm.tsx';

/** A device that the shop does not know. */
export function SignInScreen() {
  const sample = standing.use()?.sample;
  return (
    <DoorScreen title={shared.signIn} under={t.onceOnEachDeviceIt}>
      {sample ? <SampleShop sample={sample} /> : null}
      <Card>
        <SignInForm />
      </Card>
      <Text variant="soft">{t.forgottenThePassphraseAnOwner}</Text>
    </DoorScreen>
  );
}

interface Sample {
  readonly names: readonly string[];
  readonly passphrase: string;
  readonly pin: string;
}

/** The made-up shop lets everybody in. */
function SampleShop({ sample: { names, passphrase, pin } }: { sample: Sample }) {
  const { signIn, problem, busy } = useSignIn();
  return (
    <Card tone="next">
      <Text variant="head">{t.aMadeUpShopTo}</Text>
      <Text>{t.everythingInItIsInvented(passphrase, pin)}</Text>
      <View className="flex-row flex-wrap gap-2">
        {names.map((name) => (
          <Button
            key={name}
            big
            className="min-w-[96px] flex-1"
            label={name}
            disabled={busy}
            onPress={() => void signIn(name, passphrase)}
          />
        ))}
      </View>
      <Problem text={problem} />
    </Card>
  );
}
