import { t as familiesWords } from '@patient-badger/wording/families';
import { FAMILIES } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { FamilyChoice } from './FamilyChoice.tsx';

function Choosing({ onChoice }: { onChoice: (family: string) => void }) {
  const [chosen, setChosen] = useState('');
  const choose = (family: string) => {
    setChosen(family);
    onChoice(family);
  };
  return <FamilyChoice families={FAMILIES} chosen={chosen} onChoose={choose} />;
}
const type = (words: string) => fireEvent.change(screen.getByLabelText(familiesWords.whatIsItOrWhat), { target: { value: words } });

test('all are offered until something is typed, then those that the words mean, with the sentence that fits', () => {
  render(<Choosing onChoice={() => undefined} />);
  expect(screen.getAllByRole('radio')).toHaveLength(FAMILIES.length);
  type('goes out crooked');
  const [first] = screen.getAllByRole('radio');
  expect(first?.getAttribute('aria-label')).toBe('Slide with two racks. “Goes out crooked”');
});

test('words that nobody knows offer none and say what to try', () => {
  render(<Choosing onChoice={() => undefined} />);
  type('qqqqzzzz');
  expect(screen.queryAllByRole('radio')).toEqual([]);
  expect(screen.getByText(/Try what the owner sees or hears/)).toBeTruthy();
});

test('one that was chosen stands alone, and another can be chosen after all', () => {
  const chosen: string[] = [];
  render(<Choosing onChoice={(family) => chosen.push(family)} />);
  type('snowblower');
  fireEvent.click(screen.getByRole('radio', { name: /^Snowblower auger gearbox/ }));
  expect(screen.queryAllByRole('radio')).toEqual([]);
  fireEvent.click(screen.getByText(familiesWords.anotherKind));
  expect(chosen).toEqual(['auger-gearbox', '']);
  expect(screen.getAllByRole('radio').length).toBeGreaterThan(0);
});
