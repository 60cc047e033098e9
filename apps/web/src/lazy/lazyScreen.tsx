import { t } from '@patient-badger/wording/shared';
import { lazy, Suspense, type ComponentType } from 'react';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import type * as Rest from '../rest.ts';
import { rest } from './rest.ts';

/** A screen of the rest of the app, fetched when it is first wanted. */
export function lazyScreen(choose: (all: typeof Rest) => ComponentType): ComponentType {
  const Screen = lazy(async () => ({ default: choose(await rest()) }));
  return function LazyScreen() {
    return (
      <Suspense fallback={<Fetching />}>
        <Screen />
      </Suspense>
    );
  };
}

const Fetching = () => (
  <View className="flex-1 items-center justify-center bg-paper p-6" role="status">
    <Text variant="soft">{t.fetchingThisScreen}</Text>
  </View>
);
