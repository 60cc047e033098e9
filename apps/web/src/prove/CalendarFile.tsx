import { t } from '@patient-badger/wording/prove';
import { saveText } from '../data/saveFile.ts';
import { callText } from '../data/api.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';

/** Days that the server knows, as a file for any calendar. */
export function CalendarFile({ path, name, testID }: { path: string; name: string; testID: string }) {
  const { attempt, problem } = useAttempt();
  const save = () => attempt(async () => saveText(name, await callText(path), 'text/calendar'));
  return (
    <>
      <Button label={t.toMyCalendar} detail={t.aCalendarFileWithEach} testID={testID} onPress={() => void save()} />
      <Problem text={problem} />
    </>
  );
}
