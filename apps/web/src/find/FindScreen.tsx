import { t } from '@patient-badger/wording/find';
import { t as shared } from '@patient-badger/wording/shared';
import { found, type SearchHit } from '@patient-badger/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRouter, type Href } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';

interface Hit {
  readonly to: Href;
  readonly label: string;
  readonly detail: string;
}

const joined = (...parts: readonly (string | null | false)[]) => parts.filter(Boolean).join(' · ');

/** What was found under its headings, in the order in which it is gone through. */
const hitsOf = ({ machines, plates, jobs, parts, models }: Omit<SearchHit, 'near'>): readonly (readonly [string, readonly Hit[]])[] => [
  [
    shared.machines,
    machines.map(({ id, label, owner, serial, retired }) => ({
      to: `/machines/${id}` as const,
      label,
      detail: joined(owner, serial, retired && 'retired'),
    })),
  ],
  [
    t.numbersOnMachines,
    plates.map(({ machineId, label, partNumber, where }) => ({
      to: `/machines/${machineId}` as const,
      label: partNumber,
      detail: joined(label, where),
    })),
  ],
  [
    shared.jobs2,
    jobs.map(({ id, label, owner, complaint, closed }) => ({
      to: closed ? (`/jobs/${id}/close` as const) : (`/jobs/${id}` as const),
      label,
      detail: joined(`“${complaint}”`, owner, closed ? 'finished' : shared.onTheBenchInline),
    })),
  ],
  [shared.models, models.map(({ id, name, note }) => ({ to: `/models/${id}` as const, label: name, detail: note ?? t.itsBook }))],
  [
    shared.parts,
    parts.map(({ partNumber, name, supplier }) => ({
      to: `/parts?text=${encodeURIComponent(partNumber)}` as const,
      label: partNumber,
      detail: joined(name, supplier),
    })),
  ],
];

/** One search over everything. Enter goes to the first that was found. */
export function FindScreen() {
  const router = useRouter();
  const [words, setWords] = useState('');
  const sought = useDeferredValue(words.trim());
  const search = useQuery({
    queryKey: ['search', sought],
    queryFn: () => call(`/api/search?${new URLSearchParams({ words: sought }).toString()}`, found),
    enabled: sought !== '',
    placeholderData: keepPreviousData,
  });
  const groups = sought !== '' && search.data ? hitsOf(search.data).filter(([, hits]) => hits.length > 0) : [];
  const first = groups[0]?.[1][0];
  return (
    <Screen title={t.find} back="/">
      <Field
        label={t.machineOwnerPlatePartNumber}
        value={words}
        onChangeText={setWords}
        autoFocus
        maxLength={100}
        onSubmitEditing={() => first && router.navigate(first.to)}
      />
      {groups.length > 0 && search.data?.near ? <Text>{t.nothingBeginsWithThisComes(sought)}</Text> : null}
      {groups.map(([head, hits]) => (
        <View key={head} className="gap-2">
          <Text variant="head">{head}</Text>
          {hits.map((hit) => (
            <Button
              key={`${head}/${hit.label}/${hit.detail}`}
              label={hit.label}
              detail={hit.detail}
              onPress={() => router.navigate(hit.to)}
            />
          ))}
        </View>
      ))}
      {sought !== '' && search.data && groups.length === 0 ? <Text>{t.nothingHereMatchesTheBeginning(sought)}</Text> : null}
      {search.error ? <Text variant="danger">{search.error.message}</Text> : null}
    </Screen>
  );
}
