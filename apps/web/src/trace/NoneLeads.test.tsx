import { beginning } from '@patient-badger/wording/testing';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import 'fake-indexeddb/auto';
import type { EntryPayload } from '@patient-badger/core/job';
import { likeliestResults, packModel, SOUND, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { viewAfter } from '../testing/viewAfter.ts';
import { NextLook } from './NextLook.tsx';
import { Unexplained } from './NoneLeads.tsx';
import { Suspects } from './Suspects.tsx';
import { Verdict } from './VerdictScreen.tsx';

const pack = findFamily('sector-steering') as Pack;

const sound = Object.entries(likeliestResults(packModel(pack), SOUND)).map(([look, result]): EntryPayload => ({
  kind: 'lookRecorded',
  look,
  result,
}));

test('with every look as it should be, nothing of the list is named: what that can mean stands there, and one’s own words come first', () => {
  const view = viewAfter(pack, ...sound);
  expect(view.trace.end?.kind).toBe('noneOfThese');
  const { unmount } = render(<Suspects view={view} />);
  for (const text of [
    traceWords.probablyNothingOnThisList,
    beginning(traceWords.outsideTheChain('')),
    beginning(traceWords.inTheChainAndNot('')),
    beginning(traceWords.soundAfterAll('')),
  ])
    expect(screen.getByText(text)).toBeTruthy();
  expect(screen.queryByText(beginning(traceWords.verdict))).toBeNull();
  unmount();
  render(<Verdict view={view} />);
  expect(screen.getByText(traceWords.probablyNothingOnThisList)).toBeTruthy();
  expect(screen.queryByTestId('decide')).toBeNull();
});

test('what leads without its own sight is the next to be looked at, by name', () => {
  const led = ['rim-play:large', 'wheel-watch-shaft:turns', 'wheel-watch-both:still-still', 'shaft-watch-pinion:turns'].map((pair) => {
    const [look = '', result = ''] = pair.split(':');
    return { kind: 'lookRecorded', look, result } satisfies EntryPayload;
  });
  const view = viewAfter(pack, ...led);
  expect([view.trace.verdict, view.trace.toLookAt?.fault]).toEqual([null, 'sector-stripped']);
  render(<NextLook view={view} />);
  expect(screen.getByText(traceWords.nextToBeLookedAt)).toBeTruthy();
  expect(screen.getByText(/^.*Sector teeth stripped stands first, and nothing that was seen settles it yet/)).toBeTruthy();
});

test('a finding that nothing explains is looked at once more, or left at that with a reason that stands there', () => {
  const odd: EntryPayload = { kind: 'lookRecorded', look: 'wheel-watch-pinion', result: 'less' };
  const stiff = sound.map((each) => (each.kind === 'lookRecorded' && each.look === odd.look ? odd : each));
  const view = viewAfter(pack, ...stiff);
  const [unexplained] = view.trace.unexplained;
  if (!unexplained) throw new Error('everything is explained');
  const { unmount } = render(<Unexplained view={view} />);
  expect(screen.getByText(traceWords.nothingOnTheListExplains)).toBeTruthy();
  expect(screen.getByLabelText(traceWords.lookAtItOnceMore)).toBeTruthy();
  fireEvent.click(screen.getByLabelText(traceWords.leaveItAtThat));
  expect(screen.getByLabelText(traceWords.whyItIsLeftAt)).toBeTruthy();
  expect(screen.getByLabelText(shared.writeItDown).getAttribute('aria-disabled')).toBe('true');
  unmount();
  render(<Unexplained view={viewAfter(pack, ...stiff, { kind: 'findingLeft', look: unexplained.look, reason: 'old paint' })} />);
  expect(screen.getByText(traceWords.leftAtThat('old paint'))).toBeTruthy();
  expect(screen.queryByLabelText(traceWords.lookAtItOnceMore)).toBeNull();
});
