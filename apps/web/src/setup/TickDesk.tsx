import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
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
          {t.withInAnotherStateIt(row.state)}
        </Text>
      ) : null}
      {before.length > 0 ? (
        <Text variant="danger" testID="not-yet">
          {t.notYetBeforeIt(before.map(({ name }) => name.toLowerCase()).join(', '), before.length === 1 ? t.comes : t.come)}
        </Text>
      ) : null}
      <Button variant={before.length > 0 ? 'plain' : 'primary'} label={shared.itIsDone} testID="tick-set" onPress={() => onSet(row.name)} />
    </Card>
  );
}
