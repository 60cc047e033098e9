import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { plain } from '@patient-badger/core';
import { arrivedItem, orderedItem, type Item } from '@patient-badger/core/job';
import { dimensionsOf, type PlainQuantity } from '@patient-badger/core/parts';
import { useState } from 'react';
import { Overlay } from '../design/Overlay.tsx';
import { useRecord } from '../data/useRecord.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { Pad } from '../gear/Pad.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeName, attributeValue, differenceText, fitText, notAsOrdered } from '../wording/attributeWords.ts';
import { plainWords } from './itemWords.ts';

/** Each dimension that it was ordered by, measured on what came; then taken or sent back. */
export function ItemInspection({ view, item }: { view: JobView; item: Item }) {
  const { write, problem } = useRecord(view.job.id);
  const [asked, setAsked] = useState<PlainQuantity | null>(null);
  const ordered = orderedItem(item);
  const worked = runOperation('match.receive', { ordered, arrived: arrivedItem(item) });
  if (!worked.ok) return <Text variant="danger">{worked.sentence}</Text>;
  const { verdict, deciding, difference, attributes } = worked.output;
  const refuse = (name: string) => {
    const found = attributes.find((each) => each.name === name);
    const off = found ? differenceText(found) : '';
    void write({
      kind: 'itemRefused',
      item: item.id,
      deciding: name,
      note: off || shared.notAsOrdered,
      ...(difference !== undefined && { difference }),
    });
  };
  return (
    <>
      {dimensionsOf(ordered)
        .filter((name) => ordered[name] !== undefined)
        .map((name) => {
          const found = attributes.find((each) => each.name === name);
          const measured = found?.part !== undefined;
          return (
            <Button
              key={name}
              label={`${attributeName(name)}: ${measured ? attributeValue(name, found.part ?? '') : shared.measureIt}`}
              detail={t.ordered(attributeValue(name, plain(ordered[name]) ?? ''), measured ? `, ${fitText(found)}` : '')}
              variant={deciding === name ? 'chosen' : 'plain'}
              testID={`measure-${name}`}
              onPress={() => setAsked(name)}
            />
          );
        })}
      {asked ? (
        <Overlay>
          <Pad
            key={asked}
            words={plainWords(asked)}
            last={item.readings[asked]?.at(-1)?.entered}
            onClose={() => setAsked(null)}
            onKeep={({ reading, instrument, entered }) =>
              void write({ kind: 'itemMeasured', item: item.id, quantity: asked, reading, instrument, entered }).then(
                (kept) => kept && setAsked(null),
              )
            }
          />
        </Overlay>
      ) : null}
      {verdict === 'accept' ? (
        <Button
          variant="primary"
          label={t.itIsWhatWasOrdered}
          testID="item-accept"
          onPress={() => void write({ kind: 'itemAccepted', item: item.id })}
        />
      ) : null}
      {verdict === 'refuse' && deciding ? (
        <>
          <Text variant="danger" testID="item-verdict">
            {notAsOrdered(deciding, difference)}
          </Text>
          <Button variant="danger" label={shared.sendItBack} testID="item-refuse" onPress={() => refuse(deciding)} />
        </>
      ) : null}
      <Problem text={problem} />
    </>
  );
}
