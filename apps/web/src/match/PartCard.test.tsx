import { t as matchWords } from '@patient-badger/wording/match';
import { fit, matchFitInput, type PartAttributes } from '@patient-badger/core/parts';
import type { PartMatch } from '@patient-badger/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { PartCard } from './PartCard.tsx';

const MODEL = 'Tovelund T5-46';
const wanted: PartAttributes = { type: 'worm', starts: 1, axialModuleMm: 1, boreDiameterMm: 12 };

const shownPart = (attributes: PartAttributes): PartMatch['part'] => ({
  id: '0197a000-0000-7000-8000-000000000001',
  partNumber: 'QB-7700-K',
  name: 'Oil pump worm',
  supplier: 'Quernby Spares',
  attributes,
  priceMinor: 890,
  leadDays: 4,
  stock: 0,
  claims: [],
  listings: [],
  links: [],
});

function show(part: PartAttributes, claims: string[] = [], onChoose?: () => void, more: Partial<PartMatch> = {}) {
  const match: PartMatch = {
    part: { ...shownPart(part), claims },
    fit: fit(matchFitInput.parse({ wanted, part, claims, machine: MODEL })),
    claimedBy: claims.includes(MODEL) ? ['Quernby Spares'] : [],
    refusedBefore: 0,
    ...more,
  };
  const client = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
  render(
    <QueryClientProvider client={client}>
      <PartCard match={match} chosen={false} onChoose={onChoose} machineModel={MODEL} />
    </QueryClientProvider>,
  );
}

test('a listing that contradicts itself says so before anything else', () => {
  show({ ...wanted, starts: 2 }, [MODEL]);
  expect(screen.getByText(`Quernby Spares says it fits ${MODEL}. By its starts it does not fit: +1.`)).toBeTruthy();
});

test('says price, where it is, what has to be worked and what nobody knows', () => {
  show({ ...wanted, boreDiameterMm: 11.5, hand: 'left' });
  expect(screen.getByText(/EUR\s8\.90/)).toBeTruthy();
  expect(screen.getByText('Quernby Spares, none there, 4 days.')).toBeTruthy();
  expect(screen.getByText('Bore: open the bore by 0.50 mm, true to the teeth')).toBeTruthy();
  expect(screen.getByRole('img', { name: 'Bore: open the bore by 0.50 mm, true to the teeth' })).toBeTruthy();
  expect(screen.getByText(matchWords.notKnownAskOrMeasure('hand'))).toBeTruthy();
});

test('the cheapest seller is named first, the others behind', () => {
  const listings = [{ supplier: 'Hobdray Stores', priceMinor: 640, leadDays: 9, stock: 2, claims: [] }];
  show(wanted, [], undefined, { part: { ...shownPart(wanted), listings } });
  expect(screen.getByText(/EUR\s6\.40/)).toBeTruthy();
  expect(screen.getByText(/^Hobdray Stores, 2 there\. Quernby Spares EUR\s8\.90, none there, 4 days\.$/)).toBeTruthy();
});

test('a number that came wrong before is marked before it is ordered again', () => {
  show(wanted, [], undefined, { refusedBefore: 2 });
  expect(screen.getByText(/^Came wrong 2 times before under this number/)).toBeTruthy();
});

test('the fit table has a row for each attribute, with both sides and the verdict', () => {
  show({ type: 'worm', starts: 1, axialModuleMm: 25.4 / 24 });
  fireEvent.click(screen.getByRole('button', { name: matchWords.fitTable }));
  const rows = within(screen.getByRole('table'))
    .getAllByRole('row')
    .map((row) => row.textContent);
  expect(rows).toEqual([
    'AttributeWantedPart',
    'Kindwormwormfits',
    'Starts11fits',
    'Axial module1 mm1.058 mmdoes not fit: +0.058 mmfar too large →',
    'Bore12 mmnot givenmeasure it',
  ]);
});

test('a part can be chosen where choosing is offered, and only there', () => {
  const chosen = jest.fn();
  show(wanted, [], chosen);
  fireEvent.click(screen.getByRole('button', { name: matchWords.choose }));
  expect(chosen).toHaveBeenCalledTimes(1);
});

test('a listing that contradicts itself is shown without a button to choose it', () => {
  show({ ...wanted, starts: 2 }, [MODEL]);
  expect(screen.queryByRole('button', { name: matchWords.choose })).toBeNull();
});
