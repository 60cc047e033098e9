import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
import { PASSPHRASE_LEAST, personDraft, ROLES, type Person, type Role } from '@patient-badger/contract';
import { useState } from 'react';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { useMe, useShop } from '../data/shop.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { ROLE_NAMES } from '../wording/roleNames.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { schemaProblem } from '../wording/schemaProblems.ts';

const ROLE_OPTIONS = ROLES.map((each) => [each, ROLE_NAMES[each]] as const);
const made = z.object({ id: z.string() });

/** Who works here, and who did. */
export function PeopleScreen() {
  const shop = useShop().data;
  const isOwner = useMe()?.role === 'owner';
  const [chosen, setChosen] = useState<string | null>(null);
  const people = [...(shop?.people ?? [])].sort((p, q) => Number(p.retired) - Number(q.retired));
  return (
    <Screen title={t.people} under={shop?.name} back="/shop">
      {people.map((person) =>
        chosen === person.id ? (
          <ChangeForm key={person.id} person={person} onDone={() => setChosen(null)} />
        ) : (
          <Card key={person.id} tone={person.retired ? 'sunken' : 'plain'}>
            <Text variant="strong">
              {person.name}
              {person.retired ? shared.retired : ''}
            </Text>
            <Text variant="soft">
              {[ROLE_NAMES[person.role], person.about, person.hasPin ? t.hasAPin : t.noPinYet].filter(Boolean).join(' · ')}
            </Text>
            {isOwner ? <Button label={t.changeWithName(person.name)} onPress={() => setChosen(person.id)} /> : null}
          </Card>
        ),
      )}
      {isOwner ? <AddForm /> : null}
      <Text variant="soft">{t.nobodyIsEverTakenOut}</Text>
    </Screen>
  );
}

const EMPTY = { name: '', about: '', passphrase: '', role: 'mechanic' as Role };

function AddForm() {
  const refresh = useRefresh();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(EMPTY);
  const { attempt, problem, setProblem } = useAttempt();
  const add = async () => {
    const parsed = personDraft.safeParse(draft);
    if (!parsed.success) return setProblem(schemaProblem(parsed.error, draft));
    await attempt(async () => {
      await call('/api/people', made, { json: parsed.data });
      await refresh('shop');
      setDraft(EMPTY);
      setOpen(false);
    });
  };
  if (!open) return <Button variant="primary" big label={t.addSomebody} onPress={() => setOpen(true)} />;
  return (
    <Card tone="next">
      <Text variant="head">{t.somebodyNew}</Text>
      <Field label={shared.name2} value={draft.name} onChangeText={(name) => setDraft({ ...draft, name })} maxLength={60} />
      <Field label={t.whatTheyMostlyDo} value={draft.about} onChangeText={(about) => setDraft({ ...draft, about })} maxLength={120} />
      <Segments label={t.role} options={ROLE_OPTIONS} value={draft.role} onChange={(role) => setDraft({ ...draft, role })} />
      <Text variant="soft">{ROLE_WORDS[draft.role]}</Text>
      <Field
        label={t.firstPassphraseAtLeastLetters(PASSPHRASE_LEAST)}
        value={draft.passphrase}
        onChangeText={(passphrase) => setDraft({ ...draft, passphrase })}
        secureTextEntry
        autoComplete="new-password"
        maxLength={128}
      />
      <Text variant="soft">{t.tellItToThemThey}</Text>
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button variant="primary" label={t.addThem} testID="add-person" onPress={() => void add()} />
      <Button variant="quiet" label={shared.notNow} onPress={() => setOpen(false)} />
    </Card>
  );
}

const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: t.setsTheShopUpAnd,
  mechanic: t.doesEveryJobClosesIt,
  apprentice: t.doesEveryJobSomebodyElse,
};

function ChangeForm({ person, onDone }: { person: Person; onDone: () => void }) {
  const refresh = useRefresh();
  const [draft, setDraft] = useState({ name: person.name, about: person.about, role: person.role, passphrase: '' });
  const { attempt, problem } = useAttempt();
  const send = async (change: object) => {
    await attempt(async () => {
      await call('/api/people/change', made, { json: { id: person.id, ...change } });
      await refresh('shop');
      onDone();
    });
  };
  const { passphrase, ...rest } = draft;
  return (
    <Card tone="next">
      <Field label={shared.name2} value={draft.name} onChangeText={(name) => setDraft({ ...draft, name })} maxLength={60} />
      <Field label={t.whatTheyMostlyDo} value={draft.about} onChangeText={(about) => setDraft({ ...draft, about })} maxLength={120} />
      <Segments label={t.role} options={ROLE_OPTIONS} value={draft.role} onChange={(role) => setDraft({ ...draft, role })} />
      <Text variant="soft">{ROLE_WORDS[draft.role]}</Text>
      <Field
        label={t.newPassphraseWhereTheirsIs}
        value={passphrase}
        onChangeText={(next) => setDraft({ ...draft, passphrase: next })}
        secureTextEntry
        autoComplete="new-password"
        maxLength={128}
      />
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button variant="primary" label={shared.keepThis} onPress={() => void send({ ...rest, ...(passphrase && { passphrase }) })} />
      <Button
        variant="danger"
        label={person.retired ? t.isBack(person.name) : t.retire(person.name)}
        onPress={() => void send({ retired: !person.retired })}
      />
      <Button variant="quiet" label={shared.leaveItAsItIs} onPress={onDone} />
    </Card>
  );
}
