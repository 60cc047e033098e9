import { t } from '@patient-badger/wording/book';
import { t as shared } from '@patient-badger/wording/shared';
import { bookPage, machineModel, type BookPage, type MachineModel } from '@patient-badger/contract';
import { bookKey, type ModelBook } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Image } from 'react-native';
import { call } from '../data/api.ts';
import { useBook } from '../data/book.ts';
import { usePackOf, useModels } from '../data/families.ts';
import { saveAddress } from '../data/saveFile.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { attributeName, attributeWords } from '../wording/attributeWords.ts';
import { bookText } from '../wording/bookText.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { AddTorque } from './AddTorque.tsx';
import { ChainCard } from './ChainCard.tsx';

/** One machine model: what its jobs have taught, what it is called, and the counts in which it differs from its family. */
export function ModelScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const model = useModels().data?.find((each) => each.id === id);
  const packOf = usePackOf();
  const pack = model && packOf(model.family, model.id);
  const book = useBook(id);
  if (!model || !pack) {
    return (
      <Screen title={shared.model} back="/models">
        <Text>{t.noSuchModelIsOn}</Text>
      </Screen>
    );
  }
  return (
    <Screen title={`${model.maker} ${model.code}`} under={pack.name} back="/models">
      {model.note ? <Text>{model.note}</Text> : null}
      {book.data ? (
        <Book model={model} pack={pack} {...book.data} />
      ) : (
        <Text variant="soft">{book.error?.message ?? t.openingTheBook}</Text>
      )}
      <AddLine model={model} />
      <AddTorque model={model} pack={pack} />
      <ChangeForm key={model.id} model={model} />
      <Button label={t.saveTheBookAsA} onPress={() => saveAddress('model-book.json', `/api/models/${model.id}/book/export`)} />
    </Screen>
  );
}

interface BookProps {
  readonly model: MachineModel;
  readonly pack: Pack;
  readonly page: BookPage;
  readonly book: ModelBook;
}

function Book({ model, pack, page, book }: BookProps) {
  const gearName = (id: string) => pack.gears.find((each) => each.id === id)?.name ?? id;
  const faultName = (id: string) => pack.faults.find((each) => each.id === id)?.name ?? id;
  return (
    <>
      <Text variant="soft">
        {t.hereFinished(page.machines, page.machines === 1 ? t.machine : t.machines, page.jobs, page.jobs === 1 ? shared.job : shared.jobs)}
      </Text>
      {page.lines.length === 0 ? (
        <Card tone="sunken">
          <Text variant="strong">{t.nothingInTheBookYet}</Text>
          <Text>{t.whenAJobOnSuch}</Text>
        </Card>
      ) : null}
      <ChainCard model={model} pack={pack} />
      {Object.entries(book.gears).map(([gear, { attributes, agree, of }]) => (
        <Card key={gear}>
          <Text variant="head">{gearName(gear)}</Text>
          {attributeWords(attributes).map(([name, value]) => (
            <Text key={name}>
              {name}: {value}
            </Text>
          ))}
          <Text variant="soft">{t.asMeasuredInOf(agree, of, of === 1 ? shared.job : shared.jobs)}</Text>
          {book.contradictions
            .filter((each) => each.gear === gear)
            .map(({ differs }) => (
              <Text key={gear} variant="danger">
                {t.jobsContradictEachOther(differs.map((each) => attributeName(each).toLowerCase()).join(', '))}
              </Text>
            ))}
        </Card>
      ))}
      {book.parts.length > 0 ? (
        <Card>
          <Text variant="head">{shared.parts}</Text>
          {book.parts.map(({ gear, partNumber, name, proved, refused }) => (
            <Text key={`${gear}/${partNumber}`} variant={refused.length > 0 ? 'danger' : 'body'}>
              {[partNumber, name, gearName(gear)].filter(Boolean).join(' · ')}:{' '}
              {proved > 0 ? t.held(proved === 1 ? shared.once : shared.times(proved)) : ''}
              {proved > 0 && refused.length > 0 ? '; ' : ''}
              {refused.map(({ deciding, note }) => t.sentBack(attributeName(deciding).toLowerCase(), note)).join('; ')}
            </Text>
          ))}
        </Card>
      ) : null}
      {book.faults.length > 0 ? (
        <Card>
          <Text variant="head">{shared.whatItWas}</Text>
          {book.faults.map(({ fault, times }) => (
            <Text key={fault}>
              {t.of(
                faultName(fault),
                times,
                book.faults.reduce((sum, each) => sum + each.times, 0),
              )}
            </Text>
          ))}
        </Card>
      ) : null}
      {book.rest.length > 0 ? (
        <Card>
          <Text variant="head">{t.torquesFillsPlatesPicturesNotes}</Text>
          {book.rest.map(({ line, source }) => (
            <Line
              key={`${bookKey(line)}/${source}`}
              picture={line.kind === 'picture' ? line.hash : undefined}
              model={model}
              text={bookText(line, pack)}
              about={{ key: bookKey(line), source }}
            />
          ))}
        </Card>
      ) : null}
    </>
  );
}

interface LineProps {
  readonly model: MachineModel;
  readonly text: string;
  readonly picture: string | undefined;
  readonly about: { readonly key: string; readonly source: string };
}

function Line({ model, text, picture, about }: LineProps) {
  const refresh = useRefresh();
  const { attempt, problem } = useAttempt();
  const out = async () => {
    await attempt(async () => {
      await call(`/api/models/${model.id}/book/out`, bookPage, { json: about });
      await refresh('book');
    });
  };
  return (
    <>
      <Text>{text}</Text>
      {picture ? (
        <Image source={{ uri: `/api/photos/${picture}/preview` }} aria-label={text} className="h-36 w-48 rounded-md border-2 border-line" />
      ) : null}
      <Button variant="quiet" label={t.takeThisOut} onPress={() => void out()} />
      <Problem text={problem} />
    </>
  );
}

/** A fill or a note off a sheet, with whose figure it is. */
function AddLine({ model }: { model: MachineModel }) {
  const refresh = useRefresh();
  const [draft, setDraft] = useState({ place: '', what: '', source: '' });
  const { attempt, problem } = useAttempt();
  const { place, what, source } = draft;
  const add = async () => {
    await attempt(async () => {
      const line =
        place.trim() === ''
          ? { kind: 'note', text: what.trim() }
          : { kind: 'fill', place: place.trim(), what: what.trim(), source: source.trim() };
      await call(`/api/models/${model.id}/book`, bookPage, { json: { jobId: null, source: source.trim(), lines: [line] } });
      await refresh('book');
      setDraft({ place: '', what: '', source: '' });
    });
  };
  return (
    <Card>
      <Text variant="head">{t.writeSomethingIn}</Text>
      <Field
        label={t.whereItGoesIfIt}
        value={place}
        onChangeText={(next) => setDraft({ ...draft, place: next })}
        example={t.gearbox}
        maxLength={200}
      />
      <Field
        label={shared.what}
        value={what}
        onChangeText={(next) => setDraft({ ...draft, what: next })}
        example={t.n120MlOfGearOil}
        maxLength={200}
      />
      <Field
        label={shared.whoseFigureItIs}
        value={source}
        onChangeText={(next) => setDraft({ ...draft, source: next })}
        example={t.makersSheet}
        maxLength={100}
      />
      <Problem text={problem} />
      <Button label={t.writeItIn} disabled={what.trim() === '' || source.trim() === ''} onPress={() => void add()} />
    </Card>
  );
}

function ChangeForm({ model }: { model: MachineModel }) {
  const router = useRouter();
  const refresh = useRefresh();
  const [draft, setDraft] = useState({ maker: model.maker, code: model.code, note: model.note ?? '' });
  const [open, setOpen] = useState(false);
  const { attempt, problem } = useAttempt();
  const send = async (change: object) => {
    await attempt(async () => {
      await call(`/api/models/${model.id}/change`, machineModel, { json: change });
      await refresh('models', 'machine', 'machines');
      setOpen(false);
    });
  };
  if (!open) return <Button label={t.changeNameOrNote} onPress={() => setOpen(true)} />;
  return (
    <Card tone="next">
      <Field label={t.maker} value={draft.maker} onChangeText={(maker) => setDraft({ ...draft, maker })} maxLength={80} />
      <Field label={t.modelAsItsPlateHas} value={draft.code} onChangeText={(code) => setDraft({ ...draft, code })} maxLength={80} />
      <Field label={t.note} value={draft.note} onChangeText={(note) => setDraft({ ...draft, note })} multiline maxLength={2000} />
      <Problem text={problem} />
      <Button variant="primary" label={shared.keepThis} onPress={() => void send({ ...draft, note: draft.note.trim() || null })} />
      <Button label={model.retired ? t.offerItAgain : t.offerItNoMore} onPress={() => void send({ retired: !model.retired })} />
      <Button variant="quiet" label={t.itsKindOfChain} onPress={() => router.navigate(`/families/${model.family}`)} />
    </Card>
  );
}
