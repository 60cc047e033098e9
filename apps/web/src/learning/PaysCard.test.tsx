import { render, screen } from '@testing-library/react';
import { PaysCard } from './PaysCard.tsx';

const NOTHING = { timedJobs: 0, minutesReckoned: 0, minutesTaken: 0, partsFitted: 0, partsInVain: 0, inVainMinor: 0 };

test('minutes taken beside those reckoned, and parts bought in vain of all that were bought', () => {
  render(
    <PaysCard
      pays={{ timedJobs: 2, minutesReckoned: 80, minutesTaken: 100, partsFitted: 6, partsInVain: 2, inVainMinor: 4250 }}
      currency="EUR"
    />,
  );
  expect(screen.getByText('1.25 ×')).toBeTruthy();
  expect(screen.getByText('2 of 8')).toBeTruthy();
  expect(screen.getByText(/EUR.42\.50 went to parts that were sent back/)).toBeTruthy();
});

test('without a job whose time was written down it says where to write it, and no figure', () => {
  render(<PaysCard pays={NOTHING} currency="EUR" />);
  expect(screen.getByText(/Nobody has written down yet/)).toBeTruthy();
  expect(screen.queryByText(/×/)).toBeNull();
});
