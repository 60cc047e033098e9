import { t } from '@patient-badger/wording/book';
import { bookKey, learnt, type BookLine, type IdentifiedGear } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { bookPage } from '@patient-badger/contract';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { call } from '../data/api.ts';
import { useBook } from '../data/book.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useWanted } from '../gear/useWanted.ts';
import type { JobView } from '../job/JobView.ts';
import { bookText } from '../wording/bookText.ts';
import { useAttempt } from '../data/useAttempt.ts';

/** What a finished job learnt of the machine's model: asked, not typed again. */
export function Learnt({ view }: { view: JobView }) {
  const { job, pack, state, machine } = view;
  const modelId = machine?.modelId;
  const book = useBook(modelId).data;
  const refresh = useRefresh();
  const [identified, setIdentified] = useState<Readonly<Record<string, IdentifiedGear>>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const { attempt, problem } = useAttempt();
  const lines = useMemo(() => learnt(pack, state, Object.values(identified)), [pack, state, identified]);
  const note = useCallback((gear: IdentifiedGear) => setIdentified((was) => ({ ...was, [gear.gear]: gear })), []);
  if (!modelId || !book) return null;
  const written = new Set(book.page.lines.filter(({ jobId }) => jobId === job.id).map(({ line }) => bookKey(line)));
  const open = lines.filter((line) => !written.has(bookKey(line)));
  const chosen = open.filter((line) => !left.has(bookKey(line)));
  const write = async () => {
    await attempt(async () => {
      await call(`/api/models/${modelId}/book`, bookPage, { json: { jobId: job.id, lines: chosen } });
      await refresh('book');
    });
  };
  const toggle = (line: BookLine) => {
    const key = bookKey(line);
    setLeft((was) => new Set(was.has(key) ? [...was].filter((each) => each !== key) : [...was, key]));
  };
  return (
    <>
      {pack.gears
        .filter(({ id }) => state.gears[id] !== undefined)
        .map((card) => (
          <Identify key={card.id} view={view} card={card} onKnown={note} />
        ))}
      {lines.length === 0 ? null : (
        <Card tone={open.length > 0 ? 'next' : 'plain'} className="no-print" testID="learnt">
          <Text variant="head">{t.forTheBookOf(machine.modelName ?? '')}</Text>
          {open.length === 0 ? <Text>{t.whatThisJobLearntStands}</Text> : <Text>{t.whatThisJobLearntPress}</Text>}
          {open.map((line) => (
            <Button
              key={bookKey(line)}
              label={bookText(line, pack)}
              variant={left.has(bookKey(line)) ? 'plain' : 'chosen'}
              checked={!left.has(bookKey(line))}
              onPress={() => toggle(line)}
            />
          ))}
          <Problem text={problem} />
          {open.length === 0 ? null : (
            <Button
              variant="primary"
              label={t.writeItIntoTheBook}
              testID="write-book"
              disabled={chosen.length === 0}
              onPress={() => void write()}
            />
          )}
        </Card>
      )}
    </>
  );
}

interface IdentifyProps {
  readonly view: JobView;
  readonly card: GearCard;
  readonly onKnown: (gear: IdentifiedGear) => void;
}

/** Works out in the worker what a gear was by its readings alone, and draws nothing: the book does not confirm itself. */
function Identify({ view: { pack, state }, card, onKnown }: IdentifyProps) {
  const wanted = useWanted(pack, card, { gear: state.gears[card.id] });
  const told = JSON.stringify(wanted);
  useEffect(() => {
    if (wanted) onKnown({ gear: card.id, attributes: wanted.attributes, probability: wanted.probability });
    // The same gear is told once, however often it is worked out.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [told, card.id, onKnown]);
  return null;
}
