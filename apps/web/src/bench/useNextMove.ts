import { useEffect, useState } from 'react';
import { nextMove, type BenchJob, type Move } from './nextMove.ts';

const THINKING: Move = { text: 'Working out the next move …', to: '' };

/** The next move of a job, worked out after the bench is on the screen: a dozen jobs take a moment together. */
export function useNextMove(job: BenchJob): Move {
  const [known, setKnown] = useState<Move | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setKnown(nextMove(job)), 0);
    return () => clearTimeout(timer);
  }, [job]);
  return known ?? THINKING;
}
