import { t } from '@patient-badger/wording/strength';
import type { Pack } from '@patient-badger/core/machine';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { placeName } from '../driveline/placeName.ts';
import type { StrengthChain } from './loads.ts';

interface Props {
  readonly head: string;
  readonly pack: Pack;
  readonly chain: Omit<StrengthChain, 'after'>;
  readonly testID: string;
}

/** Which link goes first, and whether the driver can break it by itself. */
export const FuseCard = ({ head, pack, chain, testID }: Props) => (
  <Card tone={chain.stallBreaks ? 'danger' : 'next'} testID={testID}>
    <Text variant="label">{head}</Text>
    <Text variant="head">{chain.fuse === null ? t.nothingIsReached : t.theFuseWithPlaceName(placeName(pack, chain.fuse))}</Text>
    {chain.fuse === null ? null : <Text>{chain.stallBreaks ? t.theDriverCanBreakIt : t.theDriverCannotBreakIt}</Text>}
  </Card>
);
