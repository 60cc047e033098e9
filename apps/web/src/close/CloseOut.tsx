import { t } from '@patient-badger/wording/close';
import {
  closingObstacles,
  isProved,
  openLedger,
  secondCheckOf,
  toSetRight,
  usualOutcome,
  type ClosingObstacle,
} from '@patient-badger/core/job';
import type { LedgerLine } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { lineText } from '../access/looseText.ts';
import { useMe } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { type Outcome, OUTCOMES } from '../wording/outcomes.ts';
import { arrived } from './SecondCheck.tsx';
import { useSigning } from './useSigning.tsx';

/** Closes the job with what was found; without a passed proof it wants a reason. */
export function CloseOut({ view: { job, state, pack } }: { view: JobView }) {
  const { sign, form, problem, isDown } = useSigning(job.id, { isSafetyCritical: pack.safetyCritical });
  const faults = toSetRight(pack, state);
  const [outcome, setOutcome] = useState<Outcome>(usualOutcome(pack, state));
  const [found, setFound] = useState([...(state.decided?.note ? [state.decided.note] : []), ...faults.map(({ name }) => name)].join('; '));
  const [note, setNote] = useState('');
  const [despite, setDespite] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const isApprentice = useMe()?.role === 'apprentice';
  const isChecked = secondCheckOf(state, arrived) !== null;
  const closing = { outcome, note, despiteLedger: despite, isApprentice, isChecked };
  const obstacles = closingObstacles(pack, state, closing);
  const open = openLedger(pack, state);
  const proved = isProved(pack, state);

  const close = () => {
    if (found.trim() === '') return setRefusal(t.writeInAFewWords);
    if (pack.safetyCritical && isDown) return setRefusal(t.withoutAConnectionNoSafety);
    if (obstacles[0]) return setRefusal(obstacleText(obstacles[0]));
    setRefusal(null);
    sign({
      kind: 'closed',
      outcome,
      found: found.trim(),
      ...(note.trim() && { note: note.trim() }),
      ...(open.length > 0 && { despiteLedger: despite.trim() }),
    });
  };

  return (
    <Card>
      <Text variant="head">{t.closeTheJob}</Text>
      <View role="radiogroup" aria-label={t.howItEnded} className="gap-2">
        {(Object.keys(OUTCOMES) as Outcome[]).map((choice) => (
          <Button
            key={choice}
            label={OUTCOMES[choice]}
            variant={outcome === choice ? 'chosen' : 'plain'}
            checked={outcome === choice}
            onPress={() => setOutcome(choice)}
          />
        ))}
      </View>
      <OpenLines lines={open} reason={despite} onReason={setDespite} />
      <Field label={t.whatWasFound} value={found} onChangeText={setFound} />
      <Field label={t.noteForNextTime} value={note} onChangeText={setNote} multiline />
      {obstacles.length > 0 && refusal === null ? (
        <View testID="still-open">
          {obstacles.map((obstacle) => (
            <Text key={obstacle.code} variant="soft">
              {obstacleText(obstacle)}
            </Text>
          ))}
        </View>
      ) : null}
      <Problem text={refusal ?? problem} />
      <Button variant={proved ? 'primary' : 'plain'} big label={t.closeTheJob} testID="close-job" onPress={close} />
      {form}
    </Card>
  );
}

/** What keeps the ledger from balancing, and the reason to close all the same. */
function OpenLines({ lines, reason, onReason }: { lines: readonly LedgerLine[]; reason: string; onReason: (reason: string) => void }) {
  if (lines.length === 0) return null;
  return (
    <View className="gap-2 rounded-md border-2 border-danger p-3">
      <Text variant="danger">{t.notBackYet}</Text>
      {lines.map((line) => (
        <Text key={`${line.step}/${line.item.id}`}>
          {line.item.name} ({line.stepName}): {lineText(line)}
        </Text>
      ))}
      <Field label={t.whyItIsClosedAll} value={reason} onChangeText={onReason} />
    </View>
  );
}

/** What stands in the way, in words. */
function obstacleText(obstacle: ClosingObstacle): string {
  switch (obstacle.code) {
    case 'secondCheckMissing':
      return t.somebodyElseMustLookIt;
    case 'lookOverMissing':
      return t.anOwnerOrAMechanic;
    case 'ledgerOpen':
      return t.theLedgerDoesNotBalance;
    case 'unproved':
      return t.itIsNotProvedProve;
    case 'unset':
      return t.notSet(obstacle.settings.join(', '));
    case 'unfitted':
      return t.notFitted(obstacle.gears.join(', '));
  }
}
