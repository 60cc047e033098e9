import type { Lubricant, MaterialId, Never } from '@patient-badger/core';
import { View } from 'react-native';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { MaterialChoice } from '../strength/MaterialChoice.tsx';
import { draftOf, setupField, type DeskProps } from './DeskProps.ts';

const LUBRICANTS: Readonly<Record<Lubricant, string>> = {
  gearOilEp: 'Gear oil with extreme-pressure additive (ISO 12925-1, CKC or CKD)',
  wormOil: 'Worm-gear oil that is safe on bronze (ISO 12925-1, CKE)',
  greaseEp: 'Gear grease with extreme-pressure additive',
  greaseWorm: 'Grease without active sulphur, for sliding on bronze or brass',
  greasePlastic: 'Plastic-safe grease: synthetic oil, no solvents',
  instrumentOil: 'Instrument oil, one drop',
};
const NEVERS: Readonly<Record<Never, string>> = {
  activeSulphur: 'Never an additive with active sulphur: it eats bronze and brass.',
  mineralOnPlastic: 'No mineral oil unless the maker names it: some plastics swell or crack.',
  solventOnPlastic: 'No brake cleaner or solvent: plastic cracks under load later.',
  mixedThickeners: 'Never on top of an unknown grease: two thickeners can run out. Wash first.',
  engineOilInWorm: 'No engine oil: it is too thin where teeth slide.',
};

interface FillInput {
  readonly first: MaterialId;
  readonly second: MaterialId;
  readonly holds: 'oil' | 'grease' | 'drop';
  readonly slides: 'yes' | 'no';
  readonly before: 'same' | 'other';
  readonly speed: string;
  readonly source: string;
}

/** What goes in by what runs on what, what never, and whether what was in there is washed out first. */
export function FillDesk({ view: { job, pack }, row, onSet }: DeskProps) {
  const [first, second] = row?.materials ?? ['steel', 'bronze'];
  const joint = pack.driveline.joints.find(({ id }) => id === row?.at);
  const known: Partial<FillInput> = { first, second, slides: joint?.type === 'worm' || second === 'bronze' ? 'yes' : 'no' };
  const empty: FillInput = { first, second, holds: 'oil', slides: 'no', before: 'other', speed: '', source: '' };
  const { draft, set } = useDeskDraft<FillInput>(draftOf('fill', row), { jobId: job.id, known, empty });
  const [speedMs] = typedNumbers(draft.speed);
  const worked = runOperation('setup.lubricant', {
    materials: [draft.first, draft.second],
    holds: draft.holds,
    slides: draft.slides === 'yes',
    otherBefore: draft.before === 'other',
    ...(speedMs > 0 && { speedMs }),
  });
  const found = worked.ok ? worked.output : null;
  return (
    <Card>
      <View className="gap-2">
        <MaterialChoice label="One of them is" value={draft.first} onChange={(id) => set({ first: id })} />
        <MaterialChoice label="It runs on" value={draft.second} onChange={(id) => set({ second: id })} testID="fill-second" />
      </View>
      <Segments
        label="Held by"
        options={[
          ['oil', 'A case of oil'],
          ['grease', 'Grease'],
          ['drop', 'A drop'],
        ]}
        value={draft.holds}
        onChange={(holds) => set({ holds })}
      />
      <Segments
        label="How the teeth run"
        options={[
          ['yes', 'Teeth slide: worm, screw'],
          ['no', 'Teeth roll'],
        ]}
        value={draft.slides}
        onChange={(slides) => set({ slides })}
      />
      <Segments
        label="In there before"
        options={[
          ['other', 'Something else was in it'],
          ['same', 'The same was in it'],
        ]}
        value={draft.before}
        onChange={(before) => set({ before })}
      />
      <Figures
        testID={setupField}
        typed={{ speed: draft.speed }}
        fields={[['speed', 'Pitch-line speed, m/s, if it is known']]}
        onChange={set}
      />
      {worked.ok ? null : <Text variant="danger">{worked.sentence}</Text>}
      {found ? (
        <>
          <Text variant="strong" testID="fill-found">
            {LUBRICANTS[found.lubricant]}, {found.grade}
          </Text>
          <Text variant="soft">A guide: what the plate or the sheet says goes before it.</Text>
          {found.nevers.map((never) => (
            <Text key={never} variant="danger">
              {NEVERS[never]}
            </Text>
          ))}
          {found.washFirst ? <Text>Wash out what was in there first, and let it dry.</Text> : null}
          <Field
            label="What went in, and whose figure that is"
            value={draft.source}
            onChangeText={(source) => set({ source })}
            testID="fill-source"
          />
          <Button
            variant="primary"
            label="It is in"
            testID="fill-set"
            disabled={draft.source.trim() === ''}
            onPress={() => onSet(`filled: ${draft.source.trim()}`, `${found.grade} by the pair (guide)`)}
          />
        </>
      ) : null}
    </Card>
  );
}
