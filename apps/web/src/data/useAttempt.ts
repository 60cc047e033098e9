import { useState } from 'react';
import { messageOf } from '../wording/messageOf.ts';

/** Does something that may fail; what went wrong is for the screen to show beside the button, until it goes well. */
export function useAttempt() {
  const [problem, setProblem] = useState<string | null>(null);
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    try {
      await work();
      setProblem(null);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return { attempt, problem, setProblem };
}
