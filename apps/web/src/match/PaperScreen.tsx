import { t } from '@patient-badger/wording/orders';
import { gearOutline, cutOf } from '@patient-badger/core/gear';
import type { Order } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { orderedAs, type OrderedDimension, type PartAttributes } from '@patient-badger/core/parts';
import { plain } from '@patient-badger/core';
import { format, parseISO } from 'date-fns';
import { useLocalSearchParams } from 'expo-router';
import { Image, View } from 'react-native';
import Svg, { Circle, Polygon } from 'react-native-svg';
import { useMe, useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { useWanted } from '../gear/useWanted.ts';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeName, attributeValue } from '../wording/attributeWords.ts';
import { money } from '../wording/words.ts';
import { platesFor } from './PlateNumber.tsx';

/** What goes to a seller on paper: a request, an order, or the letter with which a wrong delivery goes back. */
export const PaperScreen = () => <GearFrame stage="match">{(view, card) => <Paper view={view} card={card} />}</GearFrame>;

const day = (at: string): string => format(parseISO(at), 'd MMMM yyyy');

function Paper({ view, card }: { view: JobView; card: GearCard }) {
  const { order: id, letter } = useLocalSearchParams<{ order?: string; letter?: string }>();
  const order = view.state.gears[card.id]?.orders?.find((each) => each.id === id);
  const wanted = useWanted(view.pack, card, { gear: view.state.gears[card.id], modelId: view.machine?.modelId });
  if (id !== undefined && !order) return <Text variant="danger">{t.notAnOrder}</Text>;
  return (
    <>
      {order?.refusal && letter !== undefined ? (
        <ReturnLetter view={view} order={order} />
      ) : (
        <Description view={view} card={card} order={order} wanted={order?.attributes ?? wanted?.attributes ?? {}} />
      )}
      <View className="no-print">
        <Button variant="primary" big label={t.print} testID="print-paper" onPress={() => window.print()} />
      </View>
    </>
  );
}

function Head({ title, order, view }: { title: string; order?: Order | undefined; view: JobView }) {
  const shop = useShop().data;
  const me = useMe();
  return (
    <View className="gap-1">
      <Text variant="title">{title}</Text>
      <Text>{t.fromShop(shop?.name ?? '', format(new Date(), 'd MMMM yyyy'), me?.name ?? '')}</Text>
      {order ? <Text>{t.to(order.supplier)}</Text> : null}
      {order?.supplierNumber ? <Text>{t.yourNumber(order.supplierNumber)}</Text> : null}
      {order ? <Text>{t.ourDrawing(order.partNumber)}</Text> : null}
      {view.machine?.modelName ? <Text variant="soft">{t.forA(view.machine.modelName)}</Text> : null}
    </View>
  );
}

interface DescriptionProps {
  readonly view: JobView;
  readonly card: GearCard;
  readonly order: Order | undefined;
  readonly wanted: PartAttributes;
}

/** What the gear must be: its drawing where one can be drawn, each dimension with how far it may be off. */
function Description({ view, card, order, wanted }: DescriptionProps) {
  const currency = useShop().data?.currency ?? 'EUR';
  return (
    <>
      <Head title={order ? t.order : t.request} order={order} view={view} />
      <Text variant="head">{card.name}</Text>
      <SpurDrawing wanted={wanted} />
      <View testID="what-it-must-be">
        {orderedAs(wanted).map((dimension) => (
          <View key={dimension.name} className="flex-row justify-between gap-2 border-b border-line py-1">
            <Text className="flex-1">{attributeName(dimension.name)}</Text>
            <Text variant="strong">{dimensionText(dimension)}</Text>
          </View>
        ))}
      </View>
      {platesFor(view.state, card).map(({ partNumber, where }) => (
        <Text key={partNumber}>{t.numberOnTheOldPart(partNumber, where)}</Text>
      ))}
      {order?.priceMinor === undefined ? null : <Text>{t.priceAgreed(money(order.priceMinor, currency))}</Text>}
      {order?.promisedOn === undefined ? null : <Text>{t.wantedBy(day(order.promisedOn))}</Text>}
      <Text>{order ? t.pleaseSend : t.pleaseSay}</Text>
    </>
  );
}

const dimensionText = ({ name, value, allowed }: OrderedDimension): string =>
  allowed === undefined ? attributeValue(name, value) : t.oneOff(attributeValue(name, value), allowed.toFixed(2));

const SIZE = 200;
/** Full-depth teeth, as a basic rack cuts them; which shift they have is not part of an order. */
const [ADDENDUM, DEDENDUM, USUAL_ANGLE] = [1, 1.25, 20];

/** A straight gear as it is meant. Another kind is not drawn: its figures say what it is, and a wrong picture would say something else. */
function SpurDrawing({ wanted }: { wanted: PartAttributes }) {
  const colours = useColours();
  const { type, teeth, normalModuleMm, pressureAngleDeg, boreDiameterMm } = wanted;
  if (type !== 'spur' || teeth === undefined || normalModuleMm === undefined) return null;
  const moduleMm = plain(normalModuleMm);
  const cut = cutOf({
    teeth,
    normalModuleMm: moduleMm,
    pressureAngleDeg: pressureAngleDeg === undefined ? USUAL_ANGLE : plain(pressureAngleDeg),
    helixAngleDeg: 0,
    profileShift: 0,
    addendumCoefficient: ADDENDUM,
    dedendumCoefficient: DEDENDUM,
    toothThinningMm: 0,
  });
  const reach = 0.55 * moduleMm * (teeth + 2 * ADDENDUM);
  const line = reach / 80;
  return (
    <View className="items-center" role="img" aria-label={t.drawingLabel(teeth)}>
      <Svg width={SIZE} height={SIZE} viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`} aria-hidden>
        <Polygon
          points={gearOutline(cut)
            .map(([x, y]) => `${x.toFixed(3)},${(-y).toFixed(3)}`)
            .join(' ')}
          fill={colours.surface}
          stroke={colours.ink}
          strokeWidth={line}
        />
        {boreDiameterMm === undefined ? null : (
          <Circle cx={0} cy={0} r={plain(boreDiameterMm) / 2} fill={colours.paper} stroke={colours.ink} strokeWidth={line} />
        )}
      </Svg>
      <Text variant="soft">{t.drawingIsNoTemplate}</Text>
    </View>
  );
}

const OTHER_HAND: Readonly<Partial<Record<string, string>>> = { right: 'left', left: 'right' };

/** What was ordered, what came, by how much it differs, and the photos of it. */
function ReturnLetter({ view, order }: { view: JobView; order: Order }) {
  const { deciding = '', difference, note } = order.refusal ?? {};
  const ordered = order.attributes[deciding as keyof PartAttributes];
  const wanted = typeof ordered === 'object' ? ordered.value : ordered;
  const came = typeof wanted === 'number' && difference !== undefined ? wanted + difference : OTHER_HAND[String(wanted)];
  const photos = view.state.photos.filter(({ about }) => about === order.id);
  return (
    <>
      <Head title={t.returnLetter} order={order} view={view} />
      <Text>{t.weOrdered(day(order.at), order.partNumber, order.name)}</Text>
      <Text variant="strong">{t.whatCameDiffers}</Text>
      {wanted === undefined || came === undefined ? null : (
        <Text testID="ordered-and-came">
          {t.orderedAndCame(attributeName(deciding), attributeValue(deciding, wanted), attributeValue(deciding, came))}
        </Text>
      )}
      <Text>{t.difference(`${attributeName(deciding)}: ${note ?? ''}`)}</Text>
      <Text>{t.itIsReturned}</Text>
      {photos.length > 0 ? <Text variant="head">{t.photosOfIt}</Text> : null}
      {photos.map(({ hash }) => (
        <Image
          key={hash}
          source={{ uri: `/api/photos/${hash}/preview` }}
          aria-label={t.photoOfIt}
          className="h-64 w-full"
          resizeMode="contain"
        />
      ))}
    </>
  );
}
