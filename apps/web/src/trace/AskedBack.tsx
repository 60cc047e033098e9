import { t } from '@patient-badger/wording/trace';
import type { Pack } from '@patient-badger/core/machine';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { faultName } from '../wording/faultName.ts';

interface Props {
  readonly pack: Pack;
  readonly faults: readonly string[];
  readonly onYes: () => void;
  readonly onNo: () => void;
}

/** A press that settles a fault is asked back once: it holds against everything that was seen before. */
export function AskedBack({ pack, faults, onYes, onNo }: Props) {
  useKeys({ Enter: onYes, Escape: onNo });
  return (
    <Card tone="next" testID="asked-back">
      <Text variant="label">{t.thatSettlesIt}</Text>
      {faults.map((fault) => (
        <Text key={fault} variant="head">
          {faultName(pack, fault)}
        </Text>
      ))}
      <Text>{t.isItWhatYouHave}</Text>
      <Button variant="primary" big label={t.yesThatIsIt} testID="settles-yes" onPress={onYes} />
      <Button label={t.noILookAgain} testID="settles-no" onPress={onNo} />
    </Card>
  );
}
