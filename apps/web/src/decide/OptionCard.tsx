import { t } from '@patient-badger/wording/decide';
import { t as shared } from '@patient-badger/wording/shared';
import type { UseUnit } from '@patient-badger/core';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, money, percent } from '../wording/words.ts';
import type { OptionRow } from './decision.ts';
import type { Pack } from '@patient-badger/core/machine';
import { UnaskedPrices } from './UnaskedPrices.tsx';
import { OptionForm } from './OptionForm.tsx';
import { OPTION_WORDS, yearsText } from '../wording/optionWords.ts';

interface Props {
  readonly jobId: string;
  readonly pack: Pick<Pack, 'gears'>;
  readonly ranked: OptionRow;
  readonly first: boolean;
  readonly currency: string;
  readonly unit: UseUnit;
}

/** One way to go on: money, minutes, wait, life, risk, what it leaves undone, and why it is there. */
export function OptionCard({ jobId, pack, ranked: { draft, rank }, first, currency, unit }: Props) {
  const { write, problem } = useRecord(jobId);
  const [changing, setChanging] = useState(false);
  if (changing) return <OptionForm jobId={jobId} draft={draft} unit={unit} onDone={() => setChanging(false)} />;
  const facts = [
    partsText(draft, currency),
    draft.minutes > 0 && t.ofWork(minutesText(draft.minutes)),
    draft.leadDays > 0 && t.daysToWaitWithLeadDays(draft.leadDays),
    draft.comeBackRisk > 0 && t.comesBack(percent(draft.comeBackRisk)),
  ].filter(Boolean);
  return (
    <Card tone={first ? 'next' : 'plain'} testID={`option-${draft.option}`}>
      <Text variant="label">{OPTION_WORDS[draft.kind]}</Text>
      <Text variant="strong">{draft.name}</Text>
      {rank ? (
        <Text testID={`cost-${draft.option}`}>
          {t.aYearOverTo(
            money(Math.round(rank.costPerYearMinor), currency),
            money(Math.round(rank.expectedCostMinor), currency),
            yearsText(rank.expectedYears),
            yearsText(rank.years10),
            yearsText(rank.years90),
          )}
        </Text>
      ) : null}
      <Text variant="soft">{facts.join(', ')}</Text>
      {draft.leaves ? <Text>{draft.isSentence ? draft.leaves : t.leaves(draft.leaves)}</Text> : null}
      <Text variant="soft">{draft.why}</Text>
      {draft.unasked ? <UnaskedPrices jobId={jobId} pack={pack} unasked={draft.unasked} /> : null}
      <Problem text={problem} />
      <Button
        variant="quiet"
        label={draft.partsMinor === null || draft.isGuidePrice ? t.writeItsPriceOrChange : shared.changeIt}
        testID={`change-${draft.option}`}
        onPress={() => setChanging(true)}
      />
      <Button
        variant="quiet"
        label={t.takeItOff}
        testID={`drop-${draft.option}`}
        onPress={() => void write({ kind: 'optionDropped', option: draft.option })}
      />
    </Card>
  );
}

function partsText({ partsMinor, isGuidePrice }: Pick<OptionRow['draft'], 'partsMinor' | 'isGuidePrice'>, currency: string): string {
  if (partsMinor === null) return t.noPriceYet;
  if (partsMinor === 0) return t.noParts;
  return isGuidePrice ? t.partsAbout(money(partsMinor, currency)) : t.parts(money(partsMinor, currency));
}
