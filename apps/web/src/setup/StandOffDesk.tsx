import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { isWithin } from '@patient-badger/core';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { draftOf, limitsOf, setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { feeler: '', least: '', most: '', source: '' };

/** A gap by the feeler: a press-on worm from its motor, a shaft from its screw. */
export function StandOffDesk({ view: { job }, row, onSet }: DeskProps) {
  const { draft, set } = useDeskDraft(draftOf('stand-off', row), { jobId: job.id, known: limitsOf(row), empty: EMPTY });
  const [feeler, min, max] = typedNumbers(draft.feeler, draft.least, draft.most);
  const ready = feeler >= 0 && min >= 0 && max >= min;
  const within = ready && isWithin({ min, max }, feeler);
  return (
    <Card>
      <Text variant="soft">{t.theThickestFeelerThatStill}</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['feeler', t.feelerGoesMm],
          ['least', t.wantedFromMm],
          ['most', t.wantedToMm],
        ]}
        onChange={set}
      />
      <Field label={shared.whoseFigureThatIs} value={draft.source} onChangeText={(source) => set({ source })} />
      {max < min ? <Text variant="danger">{t.theLeastWantedIsMore}</Text> : null}
      {ready ? (
        <>
          <Text variant={within ? 'strong' : 'danger'} testID="stand-off-found">
            {within
              ? t.within
              : t.mmToo((feeler < min ? min - feeler : feeler - max).toFixed(2), feeler < min ? t.nearDrawItOff : t.farPressItOn)}
          </Text>
          <Button
            variant={within ? 'primary' : 'plain'}
            label={shared.writeItDown}
            testID="stand-off-set"
            onPress={() => onSet(t.mmByTheFeelerTo(feeler, min, max), draft.source.trim())}
          />
        </>
      ) : null}
    </Card>
  );
}
