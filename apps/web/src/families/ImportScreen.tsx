import { t } from '@patient-badger/wording/families';
import { t as shared } from '@patient-badger/wording/shared';
import { explainPack, type PackReport } from '@patient-badger/core/machine';
import { failureSentence, remarkSentence } from '@patient-badger/wording';
import { ownFamily } from '@patient-badger/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { usePerson } from '../data/person.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { DriveLine } from '../driveline/DriveLine.tsx';
import { pickFamilyFile } from './pickFile.ts';
import { messageOf } from '../wording/messageOf.ts';

interface PackFile {
  readonly name: string;
  readonly raw: unknown;
  readonly report: PackReport;
}

/** Brings in a family the shop wrote itself: what is wrong with the file is said before anything is kept. */
export function ImportScreen() {
  const [read, setRead] = useState<PackFile | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async () => {
    try {
      const file = await pickFamilyFile();
      if (!file) return;
      setRead(readFile(file));
      setProblem(null);
    } catch (error) {
      setRead(null);
      setProblem(messageOf(error));
    }
  };
  return (
    <Screen title={t.bringInAFamily} back="/families">
      <Text>{t.aFamilyIsOneJson}</Text>
      <Button
        variant={read?.report.pack ? 'plain' : 'primary'}
        big
        label={shared.chooseTheFile}
        testID="choose-file"
        onPress={() => void choose()}
      />
      <Problem text={problem} />
      {read ? <Report read={read} /> : null}
    </Screen>
  );
}

function readFile({ name, text }: { name: string; text: string }): PackFile {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    throw new Error(shared.noJsonFile(name, messageOf(error)), { cause: error });
  }
  return { name, raw, report: explainPack(raw) };
}

function Report({ read: { name, raw, report } }: { read: PackFile }) {
  const router = useRouter();
  const client = useQueryClient();
  const person = usePerson();
  const keep = useMutation({
    mutationFn: () => call('/api/families', ownFamily, { json: raw }),
    onSuccess: async ({ id }) => {
      await client.invalidateQueries({ queryKey: ['families'] });
      router.navigate(`/families/${id}`);
    },
  });
  const { pack, mistakes, remarks } = report;
  return (
    <View className="gap-4">
      {mistakes.length > 0 ? (
        <Card tone="danger">
          <Text variant="head">{t.cannotBeUsedYet(name, mistakes.length, mistakes.length === 1 ? t.mistake : t.mistakes)}</Text>
          <Notes notes={mistakes.map((each) => ({ path: each.path, sentence: failureSentence(each) }))} />
        </Card>
      ) : null}
      {pack ? (
        <>
          <Card tone="next">
            <Text variant="head">{pack.name}</Text>
            <Text>{pack.summary}</Text>
            <Text variant="soft">
              {t.stationsFaultsLooksOpeningSteps(pack.driveline.bodies.length, pack.faults.length, pack.looks.length, pack.steps.length)}
            </Text>
            <Button
              variant="primary"
              big
              disabled={keep.isPending || person === null}
              label={keep.isPending ? t.keepingIt : t.keepThisFamily}
              testID="keep-family"
              onPress={() => keep.mutate()}
            />
            {person === null ? <Text variant="danger">{shared.chooseWhoYouAreFirst}</Text> : null}
            {keep.error ? <Text variant="danger">{keep.error.message}</Text> : null}
          </Card>
          {remarks.length > 0 ? (
            <Card>
              <Text variant="head">{t.itWorksAndWouldServe}</Text>
              <Notes notes={remarks.map((each) => ({ path: each.path, sentence: remarkSentence(each) }))} />
            </Card>
          ) : null}
          <DriveLine pack={pack} />
        </>
      ) : null}
    </View>
  );
}

interface Note {
  readonly path: string;
  readonly sentence: string;
}

const Notes = ({ notes }: { notes: readonly Note[] }) =>
  notes.map(({ path, sentence }) => (
    <View key={`${path} ${sentence}`} className="border-l-4 border-line pl-3">
      <Text variant="label">{path || t.theFile}</Text>
      <Text>{sentence}</Text>
    </View>
  ));
