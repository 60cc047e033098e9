import { t } from '@patient-badger/wording/entrance';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { usePerson } from '../data/person.ts';
import { standing } from '../data/signedOut.ts';
import { askStanding } from '../data/standing.ts';
import { Text } from '../design/Text.tsx';
import { WhoFirst } from '../shell/WhoFirst.tsx';
import { lazyScreen } from '../lazy/lazyScreen.tsx';
import { SignInScreen } from './SignInScreen.tsx';

const FirstVisit = lazyScreen((all) => all.FirstVisitScreen);
const WhoHolds = lazyScreen((all) => all.WhoHoldsScreen);

/** How often it is asked who may come in, where nobody has answered yet. */
const RETRY_MS = 3000;

/**
 * The door: a first visit makes the shop, a strange device signs in. A device that was signed in once shows
 * what it holds, connection or not; where its session has run out, a card on every screen asks again.
 */
export function Entrance({ children }: { children: ReactNode }) {
  const now = standing.use();
  const person = usePerson();
  const client = useQueryClient();
  useEffect(() => {
    const ask = () => void askStanding();
    if (standing.get() !== null) ask();
    const timer = setInterval(() => (standing.get() === null ? ask() : undefined), RETRY_MS);
    window.addEventListener('online', ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', ask);
    };
  }, []);
  const isIn = now?.state === 'signedIn';
  const before = useRef(now);
  useEffect(() => {
    // What was asked before anybody was known to be in, or by somebody else, is asked anew; at a start it just was.
    const was = before.current;
    before.current = now;
    if (isIn && was !== null && (was.state !== now.state || was.person !== now.person)) void client.invalidateQueries();
  }, [client, isIn, now]);
  if (now?.state === 'first') return <FirstVisit />;
  if (person !== null) {
    return (
      <View className="flex-1 bg-paper">
        <WhoFirst />
        {children}
      </View>
    );
  }
  if (now?.state === 'signIn') return <SignInScreen />;
  if (isIn) return <WhoHolds />;
  return (
    <View className="flex-1 items-center justify-center bg-paper p-6" role="status">
      <Text variant="soft">{t.askingTheShopServerWho}</Text>
    </View>
  );
}
