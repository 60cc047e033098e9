import { t } from '@patient-badger/wording/access';
import { openSteps } from '@patient-badger/core/job';
import { accessPlan, stepsThatFree, type Aim } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useArrows } from '../design/useArrows.ts';
import { placeName } from '../driveline/placeName.ts';
import { BypassCard } from '../job/BypassCard.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { TakeBack } from '../log/TakeBack.tsx';
import { LaterCaptures } from './LaterCaptures.tsx';
import { StepButtons } from './StepButtons.tsx';
import { StepWork } from './StepWork.tsx';
import { usualAim } from './usualAim.ts';
import { OwnThings } from './OwnThings.tsx';
import { PlanCard, Later } from './PlanCard.tsx';
import { WhileOpen } from './WhileOpen.tsx';

/** What the mechanic chose on this screen; the rest follows from the job. */
interface Selection {
  readonly places: readonly string[] | null;
  readonly step: string | null;
  /** The step whose snags lie open. */
  readonly stuck: string | null;
}

/** Opening as far as the suspect needs and no further: the plan, one step at a time, and what else lies open. */
export function OpenScreen() {
  const [chosen, setChosen] = useState<Selection>({ places: null, step: null, stuck: null });
  return (
    <JobFrame
      stage="open"
      foot={(view) => {
        const { step, left } = planOf(view, chosen);
        return step ? (
          <StepButtons
            key={step.id}
            view={view}
            step={step}
            later={step === left[0] ? left.slice(1) : []}
            stuck={chosen.stuck === step.id}
            onStuck={(stuck) => setChosen({ ...chosen, stuck: stuck ? step.id : null })}
          />
        ) : null;
      }}
    >
      {(view) => <Opening view={view} chosen={chosen} onChosen={setChosen} />}
    </JobFrame>
  );
}

/** The plan as things stand and as they were chosen, and the step that is its turn. */
function planOf(view: JobView, { places, step }: Selection) {
  const { pack, state } = view;
  const usual = usualAim(view);
  const aim: Aim = places ? { places } : usual.aim;
  const opened = openSteps(pack, state);
  const free = accessPlan(pack, aim, { opened, stuck: state.stuck.map((each) => each.step) });
  // Where what is stuck bars every way, the plan is shown all the same: it has to be freed.
  const plan = free ?? accessPlan(pack, aim, { opened });
  const left = plan?.steps ?? [];
  return { name: usual.name, barred: free === null, plan, left, step: left.find(({ id }) => id === step) ?? left[0] };
}

function Opening({ view, chosen, onChosen }: { view: JobView; chosen: Selection; onChosen: (next: Selection) => void }) {
  const { job, pack } = view;
  const router = useRouter();
  const { places } = chosen;
  const { name, barred, plan, left, step } = planOf(view, chosen);
  const pick = (id: string | null) => onChosen({ ...chosen, step: id });
  useArrows(left, step?.id, pick);
  return (
    <>
      <Text variant="label">{t.toReach}</Text>
      <Text variant="title">{places ? places.map((each) => placeName(pack, each)).join(', ') : name}</Text>
      <Choose view={view} places={places} onChange={(next) => onChosen({ ...chosen, places: next, step: null })} />
      {barred ? (
        <Card tone="danger">
          <Text variant="strong">{t.theStepThatWillNot}</Text>
          <Text>{t.freeItWithOneOf}</Text>
        </Card>
      ) : null}
      {plan ? <PlanCard plan={plan} /> : null}
      <BypassCard view={view} />
      <LaterCaptures view={view} />
      {step ? (
        <>
          <StepWork key={step.id} view={view} step={step} stuck={chosen.stuck === step.id} />
          <Later steps={left} here={step.id} onPick={pick} />
        </>
      ) : (
        <Card tone="next">
          <Text variant="head">{t.itLiesOpen}</Text>
          <Text>{t.nothingMoreToTakeOff}</Text>
          <Button variant="primary" big label={t.backToTheLooks} onPress={() => router.navigate(`/jobs/${job.id}`)} />
        </Card>
      )}
      <OwnThings view={view} step={step?.id} />
      <WhileOpen view={view} />
      <TakeBack view={view} kinds={['stepDone', 'stepSkipped', 'stepStuck', 'ownLooseAdded', 'ownCaptureAdded', 'ownStepAdded']} />
      <View className="flex-row gap-2">
        <Button className="flex-1" label={t.theTray} onPress={() => router.navigate(`/jobs/${job.id}/tray`)} />
        <Button className="flex-1" label={t.stepSheet} onPress={() => router.navigate(`/jobs/${job.id}/sheet`)} />
      </View>
    </>
  );
}

/** The places that can be opened to, a press each. */
function Choose({
  view: { pack },
  places,
  onChange,
}: {
  view: JobView;
  places: readonly string[] | null;
  onChange: (next: readonly string[] | null) => void;
}) {
  const [open, setOpen] = useState(false);
  const all = [...pack.driveline.bodies, ...pack.driveline.joints, ...pack.auxiliaries]
    .map(({ id }) => id)
    .filter((id) => stepsThatFree(pack, id).length > 0);
  const toggle = (id: string) => {
    const now = places ?? [];
    const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id];
    onChange(next.length > 0 ? next : null);
  };
  return (
    <>
      <Button variant="quiet" label={open ? t.hideThePlaces : t.anotherPlace} testID="other-place" onPress={() => setOpen(!open)} />
      {open ? (
        <View className="flex-row flex-wrap gap-2">
          {all.map((id) => (
            <Button
              key={id}
              label={placeName(pack, id)}
              variant={places?.includes(id) ? 'chosen' : 'plain'}
              testID={`place-${id}`}
              onPress={() => toggle(id)}
            />
          ))}
        </View>
      ) : null}
    </>
  );
}
