import { sideName } from '@patient-badger/wording/results';
import { t } from '@patient-badger/wording/trace';
import { packModel, sideOutcomes, type KinematicLook, type Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { placeName } from '../driveline/placeName.ts';

interface Props {
  readonly pack: Pack;
  readonly look: KinematicLook;
  readonly disabled: boolean;
  readonly before: string | undefined;
  readonly onSay: (result: string) => void;
}

/** Both sides compared: a column for each, an answer in each, and then what they say together. */
export function TwoSides({ pack, look, disabled, before, onSay }: Props) {
  const sides = [look.watch, look.beside ?? look.watch];
  const [said, setSaid] = useState<readonly (string | undefined)[]>(before?.split('-') ?? [undefined, undefined]);
  const { hypotheses } = packModel(pack);
  const choices = sides.map((side) => sideOutcomes(pack, look, { watch: side, hypotheses }));
  const answer = said.every((each) => each !== undefined) ? said.join('-') : null;
  const choose = (i: number, result: string) => setSaid(said.map((each, j) => (j === i ? result : each)));
  const asked = said[0] === undefined ? 0 : 1;
  const digits = (choices[asked] ?? []).map(({ result }, n) => [String(n + 1), () => choose(asked, result)] as const);
  const finish = answer === null ? undefined : () => onSay(answer);
  useKeys(disabled ? {} : { ...Object.fromEntries(digits), Enter: finish });
  return (
    <View className="gap-3">
      <View className="flex-row gap-3">
        {sides.map((side, i) => (
          <View key={side} role="radiogroup" aria-label={placeName(pack, side)} className="min-w-0 flex-1 gap-2">
            <Text variant="strong">{placeName(pack, side)}</Text>
            {choices[i]?.map(({ result }) => (
              <Button
                key={result}
                big
                disabled={disabled}
                label={sideName(look, result)}
                variant={said[i] === result ? 'chosen' : 'plain'}
                checked={said[i] === result}
                testID={`side-${i}-${result}`}
                onPress={() => choose(i, result)}
              />
            ))}
          </View>
        ))}
      </View>
      <Button
        variant="primary"
        big
        disabled={disabled || answer === null}
        label={answer === null ? t.sayItForBothSides : t.thatIsWhatBothDo}
        testID="say-both"
        onPress={() => finish?.()}
      />
    </View>
  );
}
