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
    'Machines',
    machines.map(({ id, label, owner, serial, retired }) => ({
      to: `/machines/${id}` as const,
      label,
      detail: joined(owner, serial, retired && 'retired'),
    })),
  ],
  [
    'Numbers on machines',
    plates.map(({ machineId, label, partNumber, where }) => ({
      to: `/machines/${machineId}` as const,
      label: partNumber,
      detail: joined(label, where),
    })),
  ],
  [
    'Jobs',
    jobs.map(({ id, label, owner, complaint, closed }) => ({
      to: closed ? (`/jobs/${id}/close` as const) : (`/jobs/${id}` as const),
      label,
      detail: joined(`“${complaint}”`, owner, closed ? 'finished' : 'on the bench'),
    })),
  ],
  ['Models', models.map(({ id, name, note }) => ({ to: `/models/${id}` as const, label: name, detail: note ?? 'Its book' }))],
  [
    'Parts',
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
    <Screen title="Find" back="/">
      <Field
        label="Machine, owner, plate, part number, job or model"
        value={words}
        onChangeText={setWords}
        autoFocus
        maxLength={100}
        onSubmitEditing={() => first && router.navigate(first.to)}
      />
      {groups.length > 0 && search.data?.near ? <Text>Nothing begins with “{sought}”; this comes near to it.</Text> : null}
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
      {sought !== '' && search.data && groups.length === 0 ? (
        <Text>Nothing here matches “{sought}”. The beginning of each word is enough.</Text>
      ) : null}
      {search.error ? <Text variant="danger">{search.error.message}</Text> : null}
    </Screen>
  );
}
