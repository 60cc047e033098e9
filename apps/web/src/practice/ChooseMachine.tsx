import { t } from '@patient-badger/wording/practice';
import type { OperationInput } from '@patient-badger/core';
import { findFamily, FAMILIES } from '@patient-badger/knowledge';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { usePerson } from '../data/person.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { FamilyChoice } from '../families/FamilyChoice.tsx';
import { practiceDone, practiceNow } from './kept.ts';
import { progressOf, type Progress } from './progress.ts';

const GRADES = [
  ['1', t.first, t.oneOfTheCommonerFaults],
  ['2', t.second, t.anyFaultAsOftenAs],
  ['3', t.third, t.aRareFaultComesAs],
] as const;
type Choice = (typeof GRADES)[number][0];
type Grade = OperationInput<'practice.deal'>['grade'];

/** Which machine is dealt, and how one has come on so far. */
export function ChooseMachine() {
  const { family: asked } = useLocalSearchParams<{ family?: string }>();
  const [family, setFamily] = useState(asked !== undefined && findFamily(asked) ? asked : '');
  const [grade, setGrade] = useState<Choice>('1');
  const [problem, setProblem] = useState<string | null>(null);
  const progress = progressOf(practiceDone.use(), usePerson());
  const begin = () => {
    const chosen = family === '' ? FAMILIES[Math.floor(Math.random() * FAMILIES.length)]?.id : family;
    setProblem(deal(chosen ?? '', Number(grade) as Grade));
  };
  return (
    <>
      <Text>{t.theAppHidesAFault}</Text>
      <Text variant="head">{t.theMachine}</Text>
      <FamilyChoice families={FAMILIES} chosen={family} onChoose={setFamily} />
      <Text variant="head">{t.howHard}</Text>
      <Segments label={t.howHard} options={GRADES.map(([id, name]) => [id, name] as const)} value={grade} onChange={setGrade} />
      <Text variant="soft">{GRADES.find(([id]) => id === grade)?.[2]}</Text>
      <Button variant="primary" big label={family === '' ? t.bringInAnyMachine : t.bringItIn} testID="practice-begin" onPress={begin} />
      <Problem text={problem} />
      {progress.length > 0 ? <Text variant="head">{t.howYouComeOn}</Text> : null}
      {progress.map((each) => (
        <FamilyProgress key={each.family} progress={each} />
      ))}
    </>
  );
}

/** Lays a machine on the bench. Answers with what went wrong, if anything did. */
function deal(family: string, grade: Grade): string | null {
  const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
  const dealt = runOperation('practice.deal', { family, seed, grade });
  if (!dealt.ok) return dealt.sentence;
  practiceNow.set({ ...dealt.output, family, taken: [], bought: [] });
  return null;
}

const FamilyProgress = ({ progress: { family, count, right, times } }: { progress: Progress }) => (
  <View className="border-l-4 border-line pl-3" testID={`progress-${family}`}>
    <Text variant="strong">{findFamily(family)?.name ?? family}</Text>
    <Text>{t.ofRight(right, count, times ? t.minutesAtFirstLately(timesText(times.first), timesText(times.last)) : '')}</Text>
  </View>
);

const timesText = (times: number) => t.timesTheAdvices(times.toFixed(1));
