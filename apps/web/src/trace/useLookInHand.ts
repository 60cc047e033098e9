import { askedOf } from '@patient-badger/core/job';
import { advisedLooks, type LookAdvice } from '@patient-badger/core/machine';
import { useState } from 'react';
import type { JobView } from '../job/JobView.ts';

/**
 * The look that is advised, and stays so while it is opened for: what lies open makes other looks cheaper, and none of them may slip
 * under the hand that is about to answer. It gives way to what is learnt, not to what is opened.
 */
export function useLookInHand({ state, trace }: Pick<JobView, 'state' | 'trace'>): LookAdvice | null {
  const { handled: _, ...learnt } = askedOf(state);
  const known = JSON.stringify(learnt);
  const [hand, setHand] = useState({ known, look: trace.next?.look });
  const held = hand.known === known ? advisedLooks(trace).find(({ look }) => look === hand.look) : undefined;
  const next = held ?? trace.next;
  if (hand.known !== known || hand.look !== next?.look) setHand({ known, look: next?.look });
  return next;
}
