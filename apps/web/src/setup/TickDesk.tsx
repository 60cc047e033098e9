import { openSettings } from '@patient-badger/core';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { DeskProps } from './DeskProps.ts';

/** Something that is done or not: a sleeve locked last, codes cleared, a stop learnt; with the state of the machine in which it works. */
export function TickDesk({ view: { pack, state }, row, onSet }: DeskProps) {
  if (!row) return null;
  const lastBefore = pack.settings.indexOf(row);
  const before = row.desk === 'lock' ? openSettings(pack, state).filter((each) => pack.settings.indexOf(each) < lastBefore) : [];
  return (
    <Card>
      {row.state ? (
        <Text variant="strong" testID="machine-state">
          With: {row.state}. In another state it behaves otherwise.
        </Text>
      ) : null}
      {before.length > 0 ? (
        <Text variant="danger" testID="not-yet">
          Not yet: {before.map(({ name }) => name.toLowerCase()).join(', ')} {before.length === 1 ? 'comes' : 'come'} before it.
        </Text>
      ) : null}
      <Button variant={before.length > 0 ? 'plain' : 'primary'} label="It is done" testID="tick-set" onPress={() => onSet(row.name)} />
    </Card>
  );
}
