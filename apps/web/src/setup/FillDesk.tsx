import { t } from '@patient-badger/wording/setup';
import type { Lubricant, MaterialId, LubricantWarning } from '@patient-badger/core';
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
  gearOilEp: t.gearOilWithExtremePressure,
  wormOil: t.wormGearOilThatIs,
  greaseEp: t.gearGreaseWithExtremePressure,
  greaseWorm: t.greaseWithoutActiveSulphurFor,
  greasePlastic: t.plasticSafeGreaseSyntheticOil,
  instrumentOil: t.instrumentOilOneDrop,
};
const NEVERS: Readonly<Record<LubricantWarning, string>> = {
  activeSulphur: t.neverAnAdditiveWithActive,
  mineralOnPlastic: t.noMineralOilUnlessThe,
  solventOnPlastic: t.noBrakeCleanerOrSolvent,
  mixedThickeners: t.neverOnTopOfAn,
  engineOilInWorm: t.noEngineOilItIs,
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
        <MaterialChoice label={t.oneOfThemIs} value={draft.first} onChange={(id) => set({ first: id })} />
        <MaterialChoice label={t.itRunsOn} value={draft.second} onChange={(id) => set({ second: id })} testID="fill-second" />
      </View>
      <Segments
        label={t.heldBy}
        options={[
          ['oil', t.aCaseOfOil],
          ['grease', t.grease],
          ['drop', t.aDrop],
        ]}
        value={draft.holds}
        onChange={(holds) => set({ holds })}
      />
      <Segments
        label={t.howTheTeethRun}
        options={[
          ['yes', t.teethSlideWormScrew],
          ['no', t.teethRoll],
        ]}
        value={draft.slides}
        onChange={(slides) => set({ slides })}
      />
      <Segments
        label={t.inThereBefore}
        options={[
          ['other', t.somethingElseWasInIt],
          ['same', t.theSameWasInIt],
        ]}
        value={draft.before}
        onChange={(before) => set({ before })}
      />
      <Figures testID={setupField} typed={{ speed: draft.speed }} fields={[['speed', t.pitchLineSpeedMS]]} onChange={set} />
      {worked.ok ? null : <Text variant="danger">{worked.sentence}</Text>}
      {found ? (
        <>
          <Text variant="strong" testID="fill-found">
            {LUBRICANTS[found.lubricant]}, {found.grade}
          </Text>
          <Text variant="soft">{t.aGuideWhatThePlate}</Text>
          {found.nevers.map((never) => (
            <Text key={never} variant="danger">
              {NEVERS[never]}
            </Text>
          ))}
          {found.washFirst ? <Text>{t.washOutWhatWasIn}</Text> : null}
          <Field label={t.whatWentInAndWhose} value={draft.source} onChangeText={(source) => set({ source })} testID="fill-source" />
          <Button
            variant="primary"
            label={t.itIsIn}
            testID="fill-set"
            disabled={draft.source.trim() === ''}
            onPress={() => onSet(t.filled(draft.source.trim()), t.byThePairGuide(found.grade))}
          />
        </>
      ) : null}
    </Card>
  );
}
