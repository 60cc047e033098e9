import type { OperationOutput, Pack } from '@patient-badger/core';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { placeName } from '../driveline/placeName.ts';

type Chain = OperationOutput<'strength.chain'>;

/** The links by how far they are loaded, the fuse first; and what it would be after the change. */
export function LinkList({ pack, chain }: { pack: Pack; chain: Chain }) {
  return (
    <>
      <Ranked head="As it is" pack={pack} chain={chain} testID="chain-now" />
      {chain.after ? <Ranked head="After the change" pack={pack} chain={chain.after} testID="chain-after" /> : null}
    </>
  );
}

interface Props {
  readonly head: string;
  readonly pack: Pack;
  readonly chain: Omit<Chain, 'after'>;
  readonly testID: string;
}

function Ranked({ head, pack, chain, testID }: Props) {
  const most = Math.max(1, ...chain.links.map(({ utilisation }) => utilisation));
  return (
    <Card tone={chain.stallBreaks ? 'danger' : 'next'} testID={testID}>
      <Text variant="label">{head}</Text>
      <Text variant="head">The fuse: {placeName(pack, chain.fuse)}</Text>
      <Text>
        {chain.stallBreaks
          ? 'The driver can break it when it is stalled.'
          : 'The driver cannot break it by stalling: it takes a blow, fatigue or wear.'}
      </Text>
      {chain.links.map(({ joint, loadNm, capacityNm, utilisation }) => (
        <View key={joint} className="gap-1" aria-label={`${placeName(pack, joint)}: ${Math.round(utilisation * 100)} % of what it bears`}>
          <View className="flex-row items-baseline justify-between gap-2">
            <Text className="flex-1">{placeName(pack, joint)}</Text>
            <Text variant="strong">{Math.round(utilisation * 100)} %</Text>
          </View>
          <View className="h-3 rounded-full bg-sunken">
            <View
              className={`h-3 rounded-full ${utilisation > 1 ? 'bg-heat' : 'bg-accent'}`}
              style={{ width: `${Math.max(1, (100 * utilisation) / most)}%` }}
            />
          </View>
          <Text variant="soft">
            {loadNm.toPrecision(3)} of {capacityNm.toPrecision(3)} N·m
          </Text>
        </View>
      ))}
    </Card>
  );
}
