import { t } from '@patient-badger/wording/match';
import { t as orders } from '@patient-badger/wording/orders';
import { t as shared } from '@patient-badger/wording/shared';
import type { Order } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { format, parseISO } from 'date-fns';
import { useRouter } from 'expo-router';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { attributeName } from '../wording/attributeWords.ts';
import { Inspection } from './Inspection.tsx';

/** What was ordered, what came, and whether they are the same: measured before it goes into the machine. */
export const ReceiveScreen = () => <GearFrame stage="match">{(view, card) => <Receiving view={view} card={card} />}</GearFrame>;

function Receiving({ view, card }: { view: JobView; card: GearCard }) {
  const orders = [...(view.state.gears[card.id]?.orders ?? [])].reverse();
  return (
    <>
      <Text variant="title">{t.orders(card.name)}</Text>
      {orders.length === 0 ? (
        <Card tone="sunken">
          <Text variant="strong">{t.nothingIsOrdered}</Text>
          <Text>{t.chooseAPartByIts}</Text>
        </Card>
      ) : null}
      {orders.map((order) => (
        <OrderCard key={order.id} view={view} card={card} order={order} />
      ))}
    </>
  );
}

const STATES: Readonly<Record<Order['state'], string>> = {
  ordered: shared.onItsWay,
  arrived: t.arrivedMeasureItBeforeIt,
  accepted: t.acceptedAsOrdered,
  refused: t.refusedGoesBack,
};

function OrderCard({ view, card, order }: { view: JobView; card: GearCard; order: Order }) {
  const { write, problem } = useRecord(view.job.id);
  const router = useRouter();
  const paper = (letter: string) => router.navigate(`/jobs/${view.job.id}/paper/${card.id}?order=${order.id}${letter}`);
  const due = order.state === 'ordered' ? order.promisedOn : undefined;
  const isToDimensions = order.source === 'toDimensions';
  return (
    <Card tone={order.state === 'refused' ? 'sunken' : 'plain'}>
      <Text variant="label" testID={`order-${order.state}`}>
        {STATES[order.state]}
      </Text>
      <Text variant="head">
        {order.partNumber} · {order.name}
      </Text>
      <Text variant="soft">
        {t.orderedWithSupplierAndDate(order.supplier, format(parseISO(order.at), 'd MMM'))}
        {due === undefined ? '' : `, ${orders.promisedFor(format(parseISO(due), 'd MMM'))}`}
      </Text>
      {due !== undefined && due < format(new Date(), 'yyyy-MM-dd') ? <Text variant="danger">{orders.late}</Text> : null}
      {order.refusal ? (
        <Text>
          {attributeName(order.refusal.deciding)}: {order.refusal.note}
        </Text>
      ) : null}
      {order.state === 'ordered' ? (
        <Button
          variant="primary"
          big
          label={shared.itHasArrived}
          testID="arrived"
          onPress={() => void write({ kind: 'partArrived', gear: card.id, order: order.id })}
        />
      ) : null}
      {order.state === 'arrived' ? <Inspection view={view} card={card} order={order} /> : null}
      {order.state === 'ordered' && isToDimensions ? (
        <Button label={orders.orderToPrint} testID="order-paper" onPress={() => paper('')} />
      ) : null}
      {order.state === 'refused' ? (
        <>
          <Text variant="soft">{orders.photographIt}</Text>
          <PhotoButton jobId={view.job.id} about={order.id} state={view.state} />
          <Button label={orders.letterOfReturn} testID="return-letter" onPress={() => paper('&letter=1')} />
        </>
      ) : null}
      <Problem text={problem} />
    </Card>
  );
}
