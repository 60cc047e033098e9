import { t } from '@patient-badger/wording/entrance';
import { SignOut } from '../people/SignOut.tsx';
import { SwitchPerson } from '../people/SwitchPerson.tsx';
import { DoorScreen } from './DoorScreen.tsx';

/** A device that is signed in and that nobody holds: whoever takes it gives their PIN. */
export const WhoHoldsScreen = () => (
  <DoorScreen title={t.whoTakesThisDevice} under={t.itIsSignedInAnd}>
    <SwitchPerson />
    <SignOut />
  </DoorScreen>
);
