import { intervalText } from './intervalText.ts';
import { limitText } from './limitText.ts';

test.each([
  [{ min: 0.05, max: 0.2 }, 'From 0.05 to 0.2'],
  [{ max: 25 }, 'At most 25'],
  [{ min: 3 }, 'At least 3'],
  [{ min: 0, max: 3 }, 'From 0 to 3'],
  [{}, 'No limit is known'],
])('%j is said as %s', (limits, text) => {
  expect(limitText(limits)).toBe(text);
});

test.each([
  [{ every: { units: 1500 }, unit: 'km' as const }, '1,500 km'],
  [{ every: { units: 50, days: 365 }, unit: 'hours' as const }, '50 hours or 365 days'],
  [{ every: { units: 12.5 }, unit: 'hours' as const }, '12.5 hours'],
  [{ every: { days: 90 } }, '90 days'],
])('%j comes due every %s', (interval, text) => {
  expect(intervalText(interval)).toBe(text);
});

test('in miles where the shop reads miles', () => {
  expect(intervalText({ every: { units: 16_093.44, days: 365 }, unit: 'km' }, 'mile')).toBe('10,000 miles or 365 days');
});
