import { t } from '@patient-badger/wording/match';
import { t as orders } from '@patient-badger/wording/orders';
import { t as shared } from '@patient-badger/wording/shared';
import type { Order } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { partMatch, type PartMatch } from '@patient-badger/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { useBook } from '../data/book.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { type JobView } from '../job/JobView.ts';
import { nearMisses } from '@patient-badger/core/parts';
import { OnTheShelf, WORTH } from './OnTheShelf.tsx';
import { Ordering } from './Ordering.tsx';
import { PartCard } from './PartCard.tsx';
import { filterQuery, NO_FILTERS, PartFilters } from './PartFilters.tsx';
import { OtherWays } from './OtherWays.tsx';
import { OrderForm, ToDimensions } from './ToDimensions.tsx';
import { SentBack } from './SentBack.tsx';
import { PlateNumber, platesFor } from './PlateNumber.tsx';

export interface FoundProps {
  readonly view: JobView;
  readonly card: GearCard;
  readonly wanted: PartAttributes;
  /** How likely it is that the gear is this one. */
  readonly probability: number;
  readonly machineModel: string | undefined;
}

export const FIRST = 8;
/** So many numbers are judged however ill they fit. */
const MOST_NUMBERS = 8;

export function Found({ view, card, wanted, probability, machineModel }: FoundProps) {
  const { job, state } = view;
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [all, setAll] = useState(false);
  const [filters, setFilters] = useState(NO_FILTERS);
  const numbers = platesFor(state, card).map(({ partNumber }) => partNumber);
  const inBook = useBook(view.machine?.modelId).data?.book.parts.filter(({ gear }) => gear === card.id) ?? [];
  const provedNumbers = inBook.filter(({ proved }) => proved > 0).map(({ partNumber }) => partNumber);
  const asked = {
    wanted,
    machineModel,
    numbers: [...numbers, ...provedNumbers].slice(0, MOST_NUMBERS),
    ...filterQuery(filters),
    limit: 30,
  };
  const search = useQuery({
    queryKey: ['parts', asked],
    queryFn: () => call('/api/parts/search', z.array(partMatch), { json: asked }),
    placeholderData: keepPreviousData,
  });
  const chosen = state.gears[card.id]?.chosen;
  const choose = async ({ part, fit }: PartMatch) => {
    const { id, partNumber, name, priceMinor } = part;
    await write({ kind: 'partChosen', gear: card.id, partId: id, partNumber, name, probability: fit.probability, priceMinor });
  };
  const found = search.data ?? [];
  const onPlate = found.filter(({ part }) => numbers.includes(part.partNumber));
  const held = found.filter(({ part }) => provedNumbers.includes(part.partNumber) && !numbers.includes(part.partNumber));
  const rest = found.filter((each) => !onPlate.includes(each) && !held.includes(each));
  const contradicted = rest.filter(({ fit }) => fit.contradiction !== undefined);
  const shown = rest.filter(({ fit }) => fit.contradiction === undefined);
  const fitting = shown.filter(({ fit }) => fit.probability > WORTH);
  const nearest = fitting.length === 0 ? nearMisses(shown) : [];
  const toDimensions = { view, card, wanted, probability };
  const partCard = (match: PartMatch) => (
    <PartCard
      key={match.part.id}
      match={match}
      chosen={chosen?.partId === match.part.id}
      machineModel={machineModel}
      onChoose={() => void choose(match)}
    />
  );
  return (
    <>
      {chosen ? (
        <Card tone="next">
          <Text variant="label">{chosen.source === 'shelf' ? t.chosenOffTheShelf : t.chosen}</Text>
          <Text variant="head">
            {chosen.partNumber} · {chosen.name}
          </Text>
          {chosen.source === undefined ? <Ordering view={view} card={card} partId={chosen.partId} /> : null}
          {chosen.source === 'toDimensions' ? (
            <Button label={t.ordersAndReceiving} testID="to-orders" onPress={() => router.navigate(`/jobs/${job.id}/receive/${card.id}`)} />
          ) : null}
          <Button variant="primary" big label={t.setUpAndProve} onPress={() => router.navigate(`/jobs/${job.id}/close`)} />
        </Card>
      ) : null}
      {chosen?.source === 'toDimensions' && wentBack(state.gears[card.id]?.orders, chosen.partId) ? <OrderForm {...toDimensions} /> : null}
      <Problem text={problem} />
      {contradicted.length > 0 ? (
        <Card tone="danger">
          <Text variant="danger">
            {t.andNotByTheirOwn(
              contradicted.length,
              contradicted.length === 1 ? t.listingSaysItFits : t.listingsSayTheyFit,
              machineModel ?? '',
              contradicted.length === 1 ? t.does : t.doInline,
              contradicted.map(({ part }) => part.partNumber).join(', '),
            )}
          </Text>
        </Card>
      ) : null}
      <PlateNumber view={view} card={card} />
      {onPlate.length > 0 ? <Text variant="head">{t.byTheNumberOnThe}</Text> : null}
      {onPlate.map(partCard)}
      {held.length > 0 ? <Text variant="head">{t.provedOnThisModel}</Text> : null}
      {held.map(partCard)}
      <SentBack parts={inBook} />
      <OnTheShelf view={view} card={card} wanted={wanted} />
      <PartFilters value={filters} onChange={setFilters} />
      {search.data ? (
        <Text variant="head">{fitting.length === 0 ? t.nothingInTheCatalogueFits : t.bestByDimensions}</Text>
      ) : (
        <Text variant="soft">{search.error?.message ?? t.searchingTheCatalogue}</Text>
      )}
      {fitting.slice(0, all ? undefined : FIRST).map(partCard)}
      {nearest.length > 0 ? <Text variant="head">{orders.nearestToIt}</Text> : null}
      {nearest.slice(0, FIRST).map(partCard)}
      {chosen?.source === 'toDimensions' ? null : <ToDimensions {...toDimensions} />}
      {search.data && fitting.length === 0 ? <OtherWays view={view} card={card} wanted={wanted} /> : null}
      <Button variant="quiet" label={shared.bringInAPartsList} onPress={() => router.navigate('/parts/import')} />
      {all || fitting.length <= FIRST ? null : <Button label={t.showAll(fitting.length)} onPress={() => setAll(true)} />}
      {contradicted.length > 0 ? <Text variant="head">{t.contradictThemselves}</Text> : null}
      {contradicted.map((match) => (
        <PartCard key={match.part.id} match={match} chosen={false} machineModel={machineModel} />
      ))}
    </>
  );
}

/** What was ordered came wrong each time: it is wanted again. */
const wentBack = (orders: readonly Order[] = [], partId: string): boolean =>
  orders.some((each) => each.partId === partId) && orders.every((each) => each.partId !== partId || each.state === 'refused');
