import { View } from 'react-native';
import { standing } from '../data/signedOut.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { DoorScreen } from './DoorScreen.tsx';
import { SignInForm, useSignIn } from '../shell/SignInForm.tsx';

/** A device that the shop does not know. */
export function SignInScreen() {
  const sample = standing.use()?.sample;
  return (
    <DoorScreen title="Sign in" under="Once on each device; it is asked for again after thirty days.">
      {sample ? <SampleShop sample={sample} /> : null}
      <Card>
        <SignInForm />
      </Card>
      <Text variant="soft">
        Forgotten the passphrase? An owner of the shop gives you a new one under The shop, People. Whoever runs the computer that the shop
        is on can do so for an owner.
      </Text>
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
      <Text variant="head">A made-up shop to look round in</Text>
      <Text>
        Everything in it is invented. Everybody’s passphrase is “{passphrase}”, everybody’s PIN {pin}.
      </Text>
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
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}
