import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/strength';
import { materialSaid, plain, type MaterialId } from '@patient-badger/core';
import type { ModelBook } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { partSizeMm } from '@patient-badger/core/parts';
import { useState } from 'react';
import { View } from 'react-native';
import { useBook } from '../data/book.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Figures, type FigureOf } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { DriveLine } from '../driveline/DriveLine.tsx';
import { placeName } from '../driveline/placeName.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { capacityOf, fieldsOf, linkStrength, NO_LINK, type LinkField, type LinkStrength, type TypedLink } from './capacity.ts';
import { FuseCard } from './FuseCard.tsx';
import { loadsOf } from './loads.ts';
import { MaterialChoice } from '../desk/MaterialChoice.tsx';
import { torqueText } from '../preferences/lengthText.ts';

/** Loads along the drive line against what each link bears: which is the fuse, and which next. */
export const StrengthScreen = () => (
  <JobFrame stage="decide" back={(id) => `/jobs/${id}/decide`}>
    {(view) => <Strength view={view} />}
  </JobFrame>
);

interface Draft {
  readonly torque: string;
  readonly links: Readonly<Record<string, TypedLink>>;
  readonly changed: string | null;
  readonly to: MaterialId;
}
const EMPTY: Draft = { torque: '', links: {}, changed: null, to: 'steel' };

function Strength({ view }: { view: JobView }) {
  const { job, pack, machine } = view;
  const book = useBook(machine?.modelId).data?.book;
  const { draft, set } = useDeskDraft<Draft>('strength', { jobId: job.id, known: NOTHING, empty: EMPTY });
  const { joints } = pack.driveline;
  const [open, setOpen] = useState<string | null>(null);
  const opened = joints.find(({ id }) => id === open);
  const typedOf = (joint: string) => draft.links[joint] ?? startOf(view, joint, book);
  const capacities = joints.flatMap((joint) => {
    const capacityNm = capacityOf(joint, typedOf(joint.id));
    return capacityNm === null ? [] : [{ joint: joint.id, capacityNm }];
  });
  const torqueNm = typedNumber(draft.torque);
  const driver = pack.order[0] ?? pack.driveline.bodies[0]?.id ?? '';
  const changedJoint = joints.find(({ id }) => id === draft.changed);
  const changed = changedJoint && capacityOf(changedJoint, { ...typedOf(changedJoint.id), capacity: '', material: draft.to });
  const worked =
    torqueNm > 0 && capacities.length > 0
      ? runOperation('strength.chain', {
          driveline: pack.driveline,
          drive: { body: driver, torqueNm },
          links: capacities,
          ...(changedJoint && changed && { changes: [{ joint: changedJoint.id, capacityNm: changed }] }),
        })
      : null;
  return (
    <>
      <Text variant="title">{shared.theWeakestLink}</Text>
      <Text variant="soft">{t.staticWhatYieldsOrBreaks}</Text>
      <Card>
        <Figures
          typed={draft}
          fields={[['torque', (unit) => t.stallTorqueIn(placeName(pack, driver), unit), 'N·m']]}
          onChange={set}
          testID={() => 'stall-torque'}
        />
      </Card>
      {worked?.ok ? <FuseCard head={shared.asItIs} pack={pack} chain={worked.output} testID="chain-now" /> : null}
      {worked?.ok && worked.output.after ? (
        <FuseCard head={t.afterTheChange} pack={pack} chain={worked.output.after} testID="chain-after" />
      ) : null}
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? (
        <Card>
          <Text variant="head">{t.whatIfOneWereOf}</Text>
          <View className="gap-2">
            {joints
              .filter((joint) => fieldsOf(joint).length > 0 && capacities.some((each) => each.joint === joint.id))
              .map(({ id }) => (
                <Button
                  key={id}
                  label={placeName(pack, id)}
                  variant={draft.changed === id ? 'chosen' : 'plain'}
                  checked={draft.changed === id}
                  testID={`what-if-${id}`}
                  onPress={() => set({ changed: draft.changed === id ? null : id })}
                />
              ))}
          </View>
          {draft.changed ? (
            <MaterialChoice label={t.thenOf} value={draft.to} testID="what-if-material" onChange={(to) => set({ to })} />
          ) : null}
        </Card>
      ) : (
        <Text>{t.typeTheStallTorqueAnd}</Text>
      )}
      <Text variant="head">{t.theLinks}</Text>
      <Text variant="soft">{t.pressALinkToSay}</Text>
      <DriveLine
        pack={pack}
        loads={loadsOf(joints, capacities, worked?.ok ? worked.output : null)}
        pressable={joints.map(({ id }) => id)}
        onPlace={(place) => setOpen(place === open ? null : place)}
        opened={
          opened && {
            place: opened.id,
            content: (
              <LinkForm
                id={opened.id}
                fields={fieldsOf(opened)}
                isMesh={opened.type === 'mesh'}
                typed={typedOf(opened.id)}
                strength={linkStrength(opened, typedOf(opened.id))}
                onChange={(change) => set({ links: { ...draft.links, [opened.id]: { ...typedOf(opened.id), ...change } } })}
              />
            ),
          }
        }
      />
    </>
  );
}

const NOTHING = {};

function drivenBody(joint: Pack['driveline']['joints'][number]): string | undefined {
  if ('wheel' in joint) return joint.wheel;
  return 'b' in joint ? joint.b : undefined;
}

/** A link before anything is typed: of what the family says its driven body is, with what was read of it here or stands in the book. */
function startOf({ pack, state }: JobView, id: string, book: ModelBook | undefined): TypedLink {
  const joint = pack.driveline.joints.find((each) => each.id === id);
  const body = joint && drivenBody(joint);
  const said = `${joint?.material ?? ''} ${materialOf(pack, body)}`;
  const card = pack.gears.find((each) => each.body === body);
  const face = card && state.gears[card.id]?.readings.faceWidthMm?.at(-1)?.reading.value;
  const known = card && book?.gears[card.id]?.attributes;
  const size = known && partSizeMm(known);
  const width = face ?? plain(known?.faceWidthMm);
  return {
    ...NO_LINK,
    ...(size && { moduleMm: String(Number(size.toFixed(4))) }),
    ...(width !== undefined && { faceMm: String(width) }),
    material: materialSaid(said) ?? 'steel',
    mate: joint?.type === 'mesh' ? (materialSaid(materialOf(pack, joint.a)) ?? '') : '',
  };
}

/** What a family says that a body is of. */
const materialOf = ({ driveline }: Pack, body: string | undefined): string =>
  driveline.bodies.find(({ id }) => id === body)?.material ?? '';

const FIGURES: { readonly [Name in Exclude<LinkField, 'capacity'>]: FigureOf<Name> } = {
  moduleMm: ['moduleMm', shared.moduleMm],
  faceMm: ['faceMm', shared.faceWidthIn, 'mm'],
  pinMm: ['pinMm', t.pinIn, 'mm'],
  shaftMm: ['shaftMm', shared.shaftIn, 'mm'],
  wallMm: ['wallMm', t.hubWallIn, 'mm'],
  interferenceMm: ['interferenceMm', t.interferenceIn, 'mm'],
  outerMm: ['outerMm', shared.hubOutsideIn, 'mm'],
  lengthMm: ['lengthMm', shared.hubLengthIn, 'mm'],
};

interface LinkFormProps {
  readonly id: string;
  readonly fields: readonly LinkField[];
  /** Two gears whose teeth are the same size: what drives it is judged with it. */
  readonly isMesh: boolean;
  readonly typed: TypedLink;
  readonly strength: LinkStrength | null;
  readonly onChange: (change: Partial<TypedLink>) => void;
}

const LinkForm = ({ id, fields, isMesh, typed, strength, onChange }: LinkFormProps) => (
  <Card>
    {fields.length > 0 ? (
      <MaterialChoice label={shared.of} value={typed.material} testID={`of-${id}`} onChange={(material) => onChange({ material })} />
    ) : null}
    {isMesh ? (
      <MaterialChoice label={t.itsDriverOf} value={typed.mate || undefined} testID={`mate-${id}`} onChange={(mate) => onChange({ mate })} />
    ) : null}
    <Figures
      typed={typed}
      fields={[
        ...fields.flatMap((name): FigureOf<LinkField>[] => (name === 'capacity' ? [] : [FIGURES[name]])),
        ['capacity', fields.length > 0 ? t.orWhatItBearsIn : t.whatItBearsIn, 'N·m'],
      ]}
      onChange={onChange}
      testID={(name) => `${name}-${id}`}
    />
    {strength?.pair ? (
      <Text variant="strong" testID={`pair-${id}`}>
        {strength.pair.weaker === 'mate' ? t.itsDriverGoesFirst : t.itGoesFirst} {t.surfaceYieldsFrom(torqueText(strength.pair.wearsAtNm))}
      </Text>
    ) : null}
    {strength?.weakestAt === 'tip' ? <Text variant="danger">{t.wornToAPoint}</Text> : null}
  </Card>
);
