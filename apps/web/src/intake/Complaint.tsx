import { t } from '@patient-badger/wording/intake';
import { t as shared } from '@patient-badger/wording/shared';
import { AT_SERVICE, type Complaint as Said, type Facts, type Pack } from '@patient-badger/core/machine';
import type { Machine, MachineDraft } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newJobId, record } from '../data/record.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { complaintsMeant } from '../families/search.ts';
import { FoundAtService, type Find } from './FoundAtService.tsx';
import { Question } from './Question.tsx';
import { variantQuestion } from './variantQuestion.ts';
import { messageOf } from '../wording/messageOf.ts';

/** What the owner says, and what is known of the machine that makes some faults more likely. */
export function Complaint({ machine, pack, onOther }: { machine: Machine | MachineDraft; pack: Pack; onOther: () => void }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const [facts, setFacts] = useState<Facts>(machine.facts);
  const [find, setFind] = useState<Find | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<readonly Said[]>([]);
  const [pressed, setPressed] = useState<readonly string[]>([]);

  const mean = (complaints: readonly Said[]) => {
    setSaid(complaints);
    setFind(null);
  };
  /** Presses a sentence, or takes it back; the owner's own words stay as they were written. */
  const press = (complaint: Said, text: string) => {
    const next = pressed.includes(text) ? pressed.filter((each) => each !== text) : [...pressed, text];
    if (words.trim() === pressed.join('; ')) setWords(next.join('; '));
    setPressed(next);
    const stands = complaint.says.some((each) => next.includes(each));
    const others = said.filter(({ id }) => id !== complaint.id && id !== AT_SERVICE);
    mean(stands ? [...others, complaint] : others);
  };
  const start = async () => {
    if (words.trim() === '') return setProblem(t.writeWhatTheOwnerSays);
    const jobId = newJobId();
    try {
      await record(jobId, {
        kind: 'takenIn',
        machineId: machine.id,
        family: pack.id,
        complaint: words.trim(),
        facts,
        complaints: said.map(({ id }) => id),
      });
      if (find) await record(jobId, { kind: 'lookRecorded', ...find });
      router.navigate(`/jobs/${jobId}`);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };

  return (
    <Screen
      title={machine.label}
      under={pack.name}
      back="/"
      foot={
        <>
          <Problem text={problem} />
          <Button variant="primary" big label={t.startTheJob} testID="start-job" onPress={() => void start()} />
        </>
      }
    >
      <Field label={t.whatDoesTheOwnerSay} value={words} onChangeText={setWords} multiline numberOfLines={3} />
      <Meaning pack={pack} words={words} said={said} onMean={mean} />
      <FoundAtService
        pack={pack}
        find={find}
        onFind={(next, text) => {
          setWords(text);
          setPressed([]);
          mean(pack.complaints.filter(({ id }) => id === AT_SERVICE));
          setFind(next);
        }}
      />
      <View className="flex-row flex-wrap gap-2">
        {pack.complaints
          .filter(({ id }) => id !== AT_SERVICE)
          .flatMap((complaint) =>
            complaint.says.map((text) => (
              <Button
                key={text}
                className="max-w-full"
                label={text}
                variant={pressed.includes(text) ? 'chosen' : 'plain'}
                onPress={() => press(complaint, text)}
              />
            )),
          )}
      </View>
      <Card>
        <Text variant="head">{t.whatIsKnownOfIt}</Text>
        <Text variant="soft">{t.leaveOutWhatYouDo}</Text>
        {pack.variants.length > 0 ? <Question question={variantQuestion(pack)} facts={facts} onChange={setFacts} /> : null}
        {pack.questions.map((question) => (
          <Question key={question.fact} question={question} facts={facts} onChange={setFacts} />
        ))}
      </Card>
      <Button variant="quiet" label={shared.anotherMachine} onPress={onOther} />
    </Screen>
  );
}

interface MeaningProps {
  readonly pack: Pack;
  readonly words: string;
  readonly said: readonly Said[];
  readonly onMean: (complaints: readonly Said[]) => void;
}

/** What the words are taken to mean. Free words move nothing until somebody says which complaint they are. */
function Meaning({ pack, words, said, onMean }: MeaningProps) {
  if (said.length > 0) {
    return (
      <Card tone="sunken">
        <Text variant="label">{said.length > 1 ? t.takenAsAllOfThese : t.takenAs}</Text>
        {said.map((complaint) => (
          <View key={complaint.id} className="gap-1">
            <Text variant="strong">{complaint.says[0]}</Text>
            <Button
              variant="quiet"
              label={said.length > 1 ? t.not(complaint.says[0] ?? '') : t.itDoesNotMeanThat}
              onPress={() => onMean(said.filter(({ id }) => id !== complaint.id))}
            />
          </View>
        ))}
        <Text variant="soft">{t.itMakesSomeFaultsLikelier}</Text>
      </Card>
    );
  }
  const meant = complaintsMeant(pack, words).flatMap(({ complaint, says }) => {
    const found = pack.complaints.find(({ id }) => id === complaint);
    return found ? [{ found, says }] : [];
  });
  if (meant.length === 0) return null;
  return (
    <View className="gap-2">
      {meant.map(({ found, says }) => (
        <Button key={found.id} label={t.doesItMean(says)} onPress={() => onMean([found])} />
      ))}
      {meant.length > 1 ? (
        <Button label={t.itMeansAllOfThese} testID="mean-all" onPress={() => onMean(meant.map(({ found }) => found))} />
      ) : null}
      <Text variant="soft">{t.pressWhatIsMeantIf}</Text>
    </View>
  );
}
