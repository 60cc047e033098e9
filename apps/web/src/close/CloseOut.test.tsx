import { t } from '@patient-badger/wording/close';
import { beginning } from '@patient-badger/wording/testing';
import { CLOSING_CASES } from '@patient-badger/core/closingCases';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { OUTCOMES } from '../wording/outcomes.ts';
import { viewAfter } from '../testing/viewAfter.ts';
import { CloseOut } from './CloseOut.tsx';

const mockSign = jest.fn();
const mockMe = jest.fn();
jest.mock('./useSigning.tsx', () => ({ useSigning: () => ({ sign: mockSign, form: null, problem: null, isDown: false }) }));
jest.mock('../data/shop.ts', () => ({ useMe: () => mockMe() as unknown }));

const saw = findFamily('saw-oil-pump') as Pack;
const REFUSALS = {
  ledgerOpen: t.theLedgerDoesNotBalance,
  secondCheckMissing: t.somebodyElseMustLookIt,
  lookOverMissing: t.anOwnerOrAMechanic,
  unproved: t.itIsNotProvedProve,
  unset: t.notSet('').slice(0, 12),
  unfitted: t.notFitted('').slice(0, 22),
} as const;

// The same cases as the core's and the server's: all three refuse alike.
test.each(CLOSING_CASES)('the screen closes or refuses a saw: $name', ({ payloads, closing, code }) => {
  mockSign.mockClear();
  mockMe.mockReturnValue({ role: closing.isApprentice ? 'apprentice' : 'mechanic' });
  render(<CloseOut view={viewAfter(saw, ...payloads)} />);
  fireEvent.click(screen.getByLabelText(OUTCOMES[closing.outcome]));
  fireEvent.change(screen.getByLabelText(t.whatWasFound), { target: { value: 'worm' } });
  if (closing.note !== undefined) fireEvent.change(screen.getByLabelText(t.noteForNextTime), { target: { value: closing.note } });
  if (closing.despiteLedger !== undefined)
    fireEvent.change(screen.getByLabelText(t.whyItIsClosedAll), { target: { value: closing.despiteLedger } });
  fireEvent.click(screen.getByTestId('close-job'));
  if (code === undefined) {
    expect(mockSign).toHaveBeenCalledWith(expect.objectContaining({ kind: 'closed', outcome: closing.outcome }));
    return;
  }
  expect(mockSign).not.toHaveBeenCalled();
  expect(screen.getByText(beginning(REFUSALS[code]))).toBeTruthy();
});
