import { t } from '@patient-badger/wording/families';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFamilies, useModels, usePackOf } from '../data/families.ts';
import { useMachines } from '../data/jobs.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../wording/words.ts';
import { MotionPanel } from '../driveline/MotionPanel.tsx';
import { ModelChoice } from './ModelChoice.tsx';
import { saveFile } from '../data/saveFile.ts';
import { differenceText } from './differenceText.ts';

/** One family: its chain in motion, what fails, what can be looked at, its models and machines. */
export function FamilyScreen() {
  const { family } = useLocalSearchParams<{ family: string }>();
  const pack = useFamilies().find(({ id }) => id === family);
  if (!pack) {
    return (
      <Screen title={t.machineFamily} back="/families">
        <Card tone="sunken">
          <Text variant="strong">{t.noSuchFamilyIsKnown}</Text>
        </Card>
      </Screen>
    );
  }
  return <Shown pack={pack} />;
}

function Shown({ pack }: { pack: Pack }) {
  const router = useRouter();
  const packOf = usePackOf();
  const [model, setModel] = useState<string | null>(null);
  const models = useModels().data?.filter((each) => each.family === pack.id) ?? [];
  const machines = useMachines('', pack.id).data?.machines ?? [];
  const shown = packOf(pack.id, model) ?? pack;
  return (
    <Screen
      title={pack.name}
      under={pack.safetyCritical ? t.safetyCritical2 : undefined}
      back="/families"
      foot={<Button variant="primary" big label={t.takeInAMachineOf} onPress={() => router.navigate(`/take-in?family=${pack.id}`)} />}
    >
      <Text>{pack.summary}</Text>
      {pack.safetyCritical ? (
        <Card tone="danger">
          <Text variant="danger">{t.safetyCritical2}</Text>
          <Text>{t.theMakersManualLocalCodes}</Text>
        </Card>
      ) : null}
      <Part head={t.whatOwnersSay}>
        {pack.complaints.map(({ id, says }) => (
          <Text key={id}>{says.map((each) => `“${each}”`).join(', ')}</Text>
        ))}
      </Part>
      {models.length > 0 ? (
        <Part head={shared.models}>
          <ModelChoice
            models={models}
            chosen={model}
            detailOf={({ note, overrides }) => [note, differenceText(pack, overrides)].filter(Boolean).join('. ')}
            onChoose={setModel}
          />
          {model ? <Button label={shared.theBookOfThisModel} onPress={() => router.navigate(`/models/${model}`)} /> : null}
        </Part>
      ) : null}
      <Part head={shared.theChain}>
        <MotionPanel pack={shown} suspects={byPrior(shown)} />
      </Part>
      <Part head={t.whatFailsCommonestFirst}>
        {byPrior(shown).map((id) => (
          <FaultLine key={id} pack={shown} id={id} />
        ))}
        <Text variant="soft">{t.howOftenIsTheProjects}</Text>
      </Part>
      <Part head={t.looks(pack.looks.length)}>
        {pack.looks.map(({ id, name, minutes, needs }) => (
          <Text key={id} variant="soft" className="text-ink">
            {minutesText(minutes)}
            {needs.length > 0 ? t.opened : ''}: {name}
          </Text>
        ))}
      </Part>
      {machines.length > 0 ? (
        <Part head={t.machinesOnRecord}>
          {machines.map(({ id, label, owner, modelName }) => (
            <Text key={id}>{[label, owner, modelName].filter(Boolean).join(' · ')}</Text>
          ))}
        </Part>
      ) : null}
      {findFamily(pack.id) ? <Button label={t.practiseOnOneWithA} onPress={() => router.navigate(`/practice?family=${pack.id}`)} /> : null}
      <Button variant="quiet" label={t.saveThisFamilyAsA} onPress={() => saveFile(`${pack.id}.json`, JSON.stringify(pack, null, 2))} />
    </Screen>
  );
}

const Part = ({ head, children }: { head: string; children: React.ReactNode }) => (
  <View className="gap-2">
    <Text variant="head">{head}</Text>
    {children}
  </View>
);

function FaultLine({ pack, id }: { pack: Pack; id: string }) {
  const fault = pack.faults.find((each) => each.id === id);
  if (!fault) return null;
  const all = pack.faults.reduce((sum, { prior }) => sum + prior, 0);
  return (
    <View className="border-l-4 border-line pl-3">
      <Text variant="strong">{fault.name}</Text>
      <Text variant="soft">
        {percent(fault.prior / all)}
        {BASIS[fault.basis]}. {fault.tell}
      </Text>
    </View>
  );
}

const BASIS = { judgement: '', shopCount: t.countedInAShop, makersSheet: t.fromAMakersSheet } as const;

const byPrior = ({ faults }: Pack): string[] => [...faults].sort((p, q) => q.prior - p.prior).map(({ id }) => id);
