import { useState } from 'react';
import { runOperation } from '../data/runOperation.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { EMPTY_DRAFT, nowQuestion, takeoffQuestion, tyreQuestion, type SpeedometerDraft } from './speedometer.ts';
import { keyOf } from './SpeedometerPair.tsx';

/** What is typed on the speedometer's desk, and what follows from it: the tyre, every pair, the one that is in now. */
export function useSpeedometer({ jobId, known }: { jobId: string | undefined; known: Partial<SpeedometerDraft> }) {
  const { draft, set, isFilled } = useDeskDraft('speedometer', { jobId, known, empty: EMPTY_DRAFT });
  const [picked, setPicked] = useState<string | null>(null);
  const asked = tyreQuestion(draft);
  const tyre = asked && runOperation('ratio.tyre', asked);
  const turnsPerKm = tyre?.ok ? tyre.output.turnsPerKm : null;
  const question = turnsPerKm === null ? null : takeoffQuestion(draft, turnsPerKm);
  const worked = question && 'input' in question ? runOperation('ratio.takeoff', question.input) : null;
  const nowInput = turnsPerKm === null ? null : nowQuestion(draft, turnsPerKm);
  const now = nowInput && runOperation('ratio.takeoff', nowInput);
  const nowOff = now?.ok ? now.output.options[0] : undefined;
  const options = worked?.ok ? worked.output.options : [];
  const chosen = options.find((each) => keyOf(each) === picked) ?? options[0];
  return { draft, set, isFilled, setPicked, tyre, turnsPerKm, question, worked, nowOff, options, chosen };
}
