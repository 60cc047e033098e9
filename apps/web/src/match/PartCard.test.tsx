import { fit, matchFitInput, type GearAttributes } from '@patient-badger/core';
import type { PartMatch } from '@patient-badger/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { PartCard } from './PartCard.tsx';

const MODEL = 'Tovelund T5-46';
const wanted: GearAttributes = { type: 'worm', starts: 1, axialModuleMm: 1, boreDiameterMm: 12 };

function show(part: GearAttributes, claims: string[] = [], onChoose?: () => void) {
  const match: PartMatch = {
    part: {
      id: '0197a000-0000-7000-8000-000000000001',
      partNumber: 'QB-7700-K',
      name: 'Oil pump worm',
      supplier: 'Quernby Spares',
      attributes: part,
      priceMinor: 890,
      leadDays: 4,
      stock: 0,
      claims,
      listings: [],
      links: [],
    },
    fit: fit(matchFitInput.parse({ wanted, part, claims, machine: MODEL })),
    claimedBy: claims.includes(MODEL) ? ['Quernby Spares'] : [],
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
  expect(screen.getByText(`Says it fits ${MODEL}. Its starts does not: does not fit: +1.`)).toBeTruthy();
});

test('says price, where it is, and what it hangs on', () => {
  show({ ...wanted, boreDiameterMm: 11.5 });
  expect(screen.getByText(/EUR\s8\.90/)).toBeTruthy();
  expect(screen.getByText(/none there, 4 days/).textContent).toMatch(/It hangs on: bore, open the bore by 0\.50 mm/);
});

test('the fit table has a row for each attribute, with both sides and the verdict', () => {
  show({ type: 'worm', starts: 1, axialModuleMm: 25.4 / 24 });
  fireEvent.click(screen.getByRole('button', { name: 'Fit table' }));
  const rows = within(screen.getByRole('table'))
    .getAllByRole('row')
    .map((row) => row.textContent);
  expect(rows).toEqual([
    'AttributeWantedPart',
    'Kindwormwormfits',
    'Starts11fits',
    'Axial module1 mm1.058 mmdoes not fit: +0.058 mm',
    'Bore12 mmnot givenmeasure it',
  ]);
});

test('a part can be chosen where choosing is offered, and only there', () => {
  const chosen = jest.fn();
  show(wanted, [], chosen);
  fireEvent.click(screen.getByRole('button', { name: 'Choose' }));
  expect(chosen).toHaveBeenCalledTimes(1);
});

test('a listing that contradicts itself is shown without a button to choose it', () => {
  show({ ...wanted, starts: 2 }, [MODEL]);
  expect(screen.queryByRole('button', { name: 'Choose' })).toBeNull();
});
