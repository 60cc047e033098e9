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
      <Text variant="soft">The thickest feeler that still goes, all round; the old gap is measured before it comes off.</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['feeler', 'Feeler goes, mm'],
          ['least', 'Wanted from, mm'],
          ['most', 'Wanted to, mm'],
        ]}
        onChange={set}
      />
      <Field label="Whose figure that is" value={draft.source} onChangeText={(source) => set({ source })} />
      {max < min ? <Text variant="danger">The least wanted is more than the most.</Text> : null}
      {ready ? (
        <>
          <Text variant={within ? 'strong' : 'danger'} testID="stand-off-found">
            {within
              ? 'Within.'
              : `${(feeler < min ? min - feeler : feeler - max).toFixed(2)} mm too ${feeler < min ? 'near: draw it off' : 'far: press it on'}.`}
          </Text>
          <Button
            variant={within ? 'primary' : 'plain'}
            label="Write it down"
            testID="stand-off-set"
            onPress={() => onSet(`${feeler} mm by the feeler, ${min} to ${max} wanted`, draft.source.trim())}
          />
        </>
      ) : null}
    </Card>
  );
}
