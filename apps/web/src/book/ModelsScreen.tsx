import { t } from '@patient-badger/wording/book';
import { t as shared } from '@patient-badger/wording/shared';
import { machineModel, modelDraft } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { call } from '../data/api.ts';
import { useFamilies, useModels } from '../data/families.ts';
import { useMe } from '../data/shop.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useWide } from '../design/useMedia.ts';
import { FamilyChoice } from '../families/FamilyChoice.tsx';
import { pickFamilyFile } from '../families/pickFile.ts';
import { Screen } from '../shell/Screen.tsx';
import { useAttempt } from '../data/useAttempt.ts';
import { messageOf } from '../wording/messageOf.ts';
import { schemaProblem } from '../wording/schemaProblems.ts';

/** Every machine model the shop knows; each has its book. */
export function ModelsScreen() {
  const router = useRouter();
  const wide = useWide();
  const models = useModels();
  const families = useFamilies();
  const [words, setWords] = useState('');
  const sought = words.toLowerCase().split(/\s+/).filter(Boolean);
  const found = (models.data ?? []).flatMap((model) => {
    const kind = families.find(({ id }) => id === model.family)?.name ?? '';
    const text = `${model.maker} ${model.code} ${kind}`.toLowerCase();
    return sought.every((word) => text.includes(word)) ? [{ model, kind }] : [];
  });
  return (
    <Screen title={shared.models} under={t.eachWithTheBookOf} back="/machines" wide={wide}>
      <Field label={t.findByMakerModelOr} value={words} onChangeText={setWords} />
      <View className={wide ? 'flex-row flex-wrap gap-3' : 'gap-2'}>
        {found.map(({ model, kind }) => (
          <View key={model.id} className={wide ? 'w-[380px]' : ''}>
            <Button
              big
              label={`${model.maker} ${model.code}${model.retired ? t.offeredNoMore : ''}`}
              detail={[kind, model.note].filter(Boolean).join(' · ')}
              onPress={() => router.navigate(`/models/${model.id}`)}
            />
          </View>
        ))}
      </View>
      {models.data && found.length === 0 ? <Text>{words ? t.noModelMatches(words) : t.noModelIsOnRecord}</Text> : null}
      {models.data ? null : <Text variant="soft">{models.error?.message ?? t.fetchingTheModels}</Text>}
      <AddModel />
      <BringIn />
    </Screen>
  );
}

const EMPTY = { maker: '', code: '', family: '', note: '' };

function AddModel() {
  const router = useRouter();
  const families = useFamilies();
  const refresh = useRefresh();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(EMPTY);
  const { attempt, problem, setProblem } = useAttempt();
  const add = async () => {
    const parsed = modelDraft.safeParse({ ...draft, note: draft.note.trim() || null, id: uuid() });
    if (!parsed.success) return setProblem(schemaProblem(parsed.error, draft));
    await attempt(async () => {
      const { id } = await call('/api/models', machineModel, { json: parsed.data });
      await refresh('models');
      router.navigate(`/models/${id}`);
    });
  };
  if (!open) return <Button variant="primary" label={t.addAModel} onPress={() => setOpen(true)} />;
  return (
    <Card tone="next">
      <Text variant="head">{t.aModel}</Text>
      <Field label={t.maker} value={draft.maker} onChangeText={(maker) => setDraft({ ...draft, maker })} maxLength={80} />
      <Field label={t.modelAsItsPlateHas} value={draft.code} onChangeText={(code) => setDraft({ ...draft, code })} maxLength={80} />
      <Field label={t.note} value={draft.note} onChangeText={(note) => setDraft({ ...draft, note })} maxLength={2000} />
      <FamilyChoice families={families} chosen={draft.family} onChoose={(family) => setDraft({ ...draft, family })} />
      <Problem text={problem} />
      <Button variant="primary" label={t.addIt} testID="add-model" onPress={() => void add()} />
      <Button variant="quiet" label={shared.notNow} onPress={() => setOpen(false)} />
    </Card>
  );
}

/** The book of another shop. */
function BringIn() {
  const router = useRouter();
  const refresh = useRefresh();
  const isOwner = useMe()?.role === 'owner';
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async () => {
    try {
      const file = await pickFamilyFile();
      if (!file) return;
      const { id } = await call('/api/model-books', machineModel, { json: JSON.parse(file.text) as unknown });
      await refresh('models', 'book');
      router.navigate(`/models/${id}`);
    } catch (error) {
      const said = messageOf(error);
      setProblem(error instanceof SyntaxError ? t.thisFileIsNoModel : said);
    }
  };
  if (!isOwner) return null;
  return (
    <>
      <Button label={t.bringInAModelBook} detail={t.aFileThatAnotherShop} onPress={() => void bring()} />
      <Problem text={problem} />
    </>
  );
}
