import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Figures } from '../design/Figures.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { deskInput } from './deskInput.ts';
import type { DeskContext, DeskList as DeskListSpec } from './DeskSpec.ts';
import { ReadDial } from './ReadDial.tsx';

interface Props {
  readonly list: DeskListSpec;
  readonly prefix: string;
  readonly context: DeskContext;
}

/** Readings kept one after the other, each as an entry of the job. */
export function DeskList({ list: { title, fields, dial, play, kept, label, testID, entry }, prefix, context }: Props) {
  const empty = Object.fromEntries(fields.map(([name]) => [name, '']));
  const jobId = context.view?.job.id ?? '';
  const { write, problem } = useRecord(jobId);
  const [draft, setDraft] = useState<Record<string, string>>(empty);
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (change: Readonly<Record<string, string>>) => setDraft((was) => ({ ...was, ...change }));
  const typed = deskInput(draft);
  const keep = async () => {
    const reading = entry(typed);
    if (typeof reading === 'string') return setWrong(reading);
    setWrong(null);
    if (await write(reading)) setDraft(empty);
  };
  return (
    <>
      <Text variant="head">{title}</Text>
      {kept(context).map((text, i) => (
        <Text key={i}>{text}</Text>
      ))}
      <Figures
        testID={(name) => `${prefix}-${name}`}
        typed={draft}
        fields={fields}
        onChange={(change) => set(change as Record<string, string>)}
      />
      <ReadDial jobId={jobId} play={play(typed)} onRead={(reading) => set({ [dial]: reading })} />
      <Problem text={wrong ?? problem} />
      <Button label={label} testID={testID} onPress={() => void keep()} />
    </>
  );
}
