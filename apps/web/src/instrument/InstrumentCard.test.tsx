import { t as instrumentWords } from '@patient-badger/wording/instrument';
import { t as prove } from '@patient-badger/wording/prove';
import { t as setup } from '@patient-badger/wording/setup';
import type { InstrumentReading } from '@patient-badger/core/gear';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { InstrumentCard } from './InstrumentCard.tsx';
import { TypedFigure } from './TypedFigure.tsx';

const JOB = '0197a000-0000-7000-8000-000000000001';

/** The server's answers, one after the other; the last again and again. What was asked is kept. */
function answering(...answers: readonly { status: number; body: unknown }[]) {
  const asked: { zeroed?: boolean; attempt?: number; look?: string }[] = [];
  globalThis.fetch = (async (_path: string, { body }: { body: string }) => {
    asked.push(JSON.parse(body) as (typeof asked)[number]);
    const { status, body: answer } = answers[Math.min(asked.length, answers.length) - 1] ?? { status: 500, body: null };
    return { ok: status < 400, status, text: async () => JSON.stringify(answer) };
  }) as unknown as typeof fetch;
  return asked;
}
const shows = (more: Partial<InstrumentReading> = {}) => ({
  status: 200,
  body: { reading: { instrument: 'dialIndicator', value: 12.3, unit: 'deg', plusMinus: 0.2, ...more } },
});
const LOST = { status: 503, body: { code: 'instrumentLost', sentence: 'The instrument does not answer. Type in what you read.' } };

function show() {
  const taken: InstrumentReading[] = [];
  render(
    <InstrumentCard
      jobId={JOB}
      look="rim-play"
      kind="dialIndicator"
      resultOf={({ value }) => (value < 10 ? prove.within : 'Too much')}
      onTake={(reading) => taken.push(reading)}
    />,
  );
  return taken;
}
const press = () => fireEvent.click(screen.getByTestId('read-dialIndicator'));

test('a reading is shown with its ± and what it means, and taken only when told to', async () => {
  answering(shows());
  const taken = show();
  press();
  await screen.findByText('12.3°');
  expect(screen.getByText('± 0.2°')).toBeTruthy();
  expect(taken).toEqual([]);
  fireEvent.click(screen.getByText(instrumentWords.takeIt('Too much')));
  expect(taken).toMatchObject([{ value: 12.3, unit: 'deg' }]);
});

test('a connection that is lost is said in a sentence, and trying again helps', async () => {
  const asked = answering(LOST, shows());
  show();
  press();
  await screen.findByText('The instrument does not answer. Type in what you read.');
  expect(screen.queryByTestId('take-reading')).toBeNull();
  press();
  await screen.findByText('12.3°');
  expect(asked[1]?.attempt).not.toBe(asked[0]?.attempt);
});

test('a display that did not stand at nought is said so; set to nought it is read again', async () => {
  const asked = answering(shows({ value: 13.3, atRest: 1 }), shows({ value: 12.3, atRest: 0 }));
  show();
  press();
  await screen.findByText('12.3°');
  fireEvent.click(screen.getByText(instrumentWords.setItToNoughtAnd));
  await waitFor(() => expect(asked).toHaveLength(2));
  expect([asked[0]?.zeroed, asked[1]?.zeroed, asked[1]?.look]).toEqual([false, true, 'rim-play']);
  await waitFor(() => expect(screen.queryByText(instrumentWords.setItToNoughtAnd)).toBeNull());
});

test('a figure read by eye is typed in, with a comma or a point; what is no figure is said so', () => {
  const taken: InstrumentReading[] = [];
  render(
    <TypedFigure
      quantity={setup.playAtTheRim}
      unit="deg"
      resultOf={(value) => (value < 10 ? prove.within : 'Too much')}
      onTake={(reading) => taken.push(reading)}
    />,
  );
  const field = screen.getByLabelText('Play at the rim, in °');
  fireEvent.change(field, { target: { value: 'lots' } });
  expect(screen.getByText(instrumentWords.thatIsNoFigureThat)).toBeTruthy();
  expect(screen.queryByTestId('take-typed')).toBeNull();
  fireEvent.change(field, { target: { value: '7,5' } });
  fireEvent.click(screen.getByText(instrumentWords.takeIt(prove.within)));
  expect(taken).toEqual([{ instrument: 'eye', value: 7.5, unit: 'deg' }]);
});
