import { t } from '@patient-badger/wording/practice';
import { t as shared } from '@patient-badger/wording/shared';
import { packForFacts, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { useState } from 'react';
import { Button } from '../design/Button.tsx';
import { Screen } from '../shell/Screen.tsx';
import { ChooseMachine } from './ChooseMachine.tsx';
import { Ended } from './Ended.tsx';
import { practiceNow, type PracticeDeal } from './kept.ts';
import { NameFault } from './NameFault.tsx';
import { Working } from './Working.tsx';

/** Practice: a machine with a hidden fault, traced by oneself and then gone through beside the advice. */
export function PracticeScreen() {
  const now = practiceNow.use();
  const family = now && findFamily(now.family);
  // There is none, or it is of a family that a newer version of the app no longer has.
  if (!now || !family) {
    return (
      <Screen title={t.practice} under={t.aMachineWithAHidden} back="/families">
        <ChooseMachine />
      </Screen>
    );
  }
  return <OnBench key={now.practice} now={now} pack={packForFacts(family, now.facts)} />;
}

function OnBench({ now, pack }: { now: PracticeDeal; pack: Pack }) {
  const [naming, setNaming] = useState(false);
  const { ended } = now;
  const foot = ended ? (
    <Button variant="primary" big label={shared.anotherMachine} testID="practice-another" onPress={() => practiceNow.set(null)} />
  ) : (
    <Button
      variant={naming ? 'plain' : 'primary'}
      big
      label={naming ? t.lookFurther : t.iKnowWhatItIs}
      testID="practice-name"
      onPress={() => setNaming(!naming)}
    />
  );
  const standing = naming ? 'naming' : 'working';
  return (
    <Screen title={t.practice} under={pack.name} back="/families" scrollKey={ended ? 'ended' : standing} foot={foot}>
      {ended ? <Ended pack={pack} now={now} {...ended} /> : null}
      {!ended && naming ? <NameFault pack={pack} now={now} /> : null}
      {!ended && !naming ? <Working pack={pack} now={now} /> : null}
    </Screen>
  );
}
