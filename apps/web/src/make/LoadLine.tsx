import { t } from '@patient-badger/wording/make';
import { remediesForGear, type GearCard, type Pack } from '@patient-badger/core/machine';
import { madeTooth, type ToothFacts } from '@patient-badger/core/parts';
import { Text } from '../design/Text.tsx';
import { torqueText } from '../preferences/lengthText.ts';

interface Props {
  readonly pack: Pack;
  readonly card: GearCard;
  /** As it is typed, of the material that was chosen. */
  readonly tooth: ToothFacts;
}

/** What a tooth of the gear would bear as it is typed, against what the driver brings to its link; nothing where the family asks for no such sum. */
export function LoadLine({ pack, card, tooth }: Props) {
  const remedy = remediesForGear(pack, card.id).find(
    ({ kind, checks }) => kind === 'make' && checks.some(({ operation }) => operation === 'strength.tooth'),
  );
  // Here it is made of what was chosen, not of what the family would take.
  const held = remedy && madeTooth({ kind: remedy.kind, checks: remedy.checks.map(({ material: _, ...check }) => check) }, tooth);
  if (held?.holdsNm == null) return null;
  const { holdsNm, needNm } = held;
  if (needNm === null) return <Text testID="load">{t.bearsAsTyped(torqueText(holdsNm))}</Text>;
  const words = holdsNm < needNm ? t.bearsTooLittle : t.bearsEnough;
  return (
    <Text testID="load" {...(holdsNm < needNm && { variant: 'danger' as const })}>
      {words(torqueText(holdsNm), torqueText(needNm))}
    </Text>
  );
}
