import { besideReasons } from '@patient-badger/wording/judgements';
import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import { wearBesideQuestion } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { lengthUnit } from '../preferences/preferences.ts';
import { WearLimit } from './WearLimit.tsx';
import { WEAR_VERDICTS } from './wearVerdicts.ts';

interface Props {
  readonly jobId: string;
  readonly card: GearCard;
  readonly gear: GearState;
  /** Of its teeth; a thread has no rule of thumb. */
  readonly normalModuleMm?: number;
}

/** How worn a rack, a screw or a sector is, by one tip where it has worked and one where it has not. */
export function WearBesideCard({ jobId, card, gear, normalModuleMm }: Props) {
  const unit = lengthUnit.use();
  const question = wearBesideQuestion(gear, normalModuleMm);
  if (!question) return null;
  const worked = runOperation('gear.wearBeside', question);
  if (!worked.ok) {
    return (
      <Card tone="danger">
        <Text variant="danger">{worked.sentence}</Text>
      </Card>
    );
  }
  const { verdict } = worked.output;
  return (
    <Card tone={verdict === 'replace' ? 'danger' : 'plain'}>
      <Text variant="label">{t.wearBesideFresh}</Text>
      {verdict === null ? null : (
        <Text variant="head" testID="wear-verdict">
          {WEAR_VERDICTS[verdict]}
        </Text>
      )}
      {besideReasons(worked.output, (mm) => formatLength(mm, unit)).map((reason) => (
        <Text key={reason}>{reason}</Text>
      ))}
      <WearLimit jobId={jobId} gear={card.id} />
    </Card>
  );
}
