import { runOperation } from '../data/runOperation.ts';
import { makeQuestion, NO_GEAR } from './makeQuestion.ts';

const typed = { ...NO_GEAR, teeth: '24', moduleMm: '0,5', faceMm: '4' };

test('nothing is asked before teeth, module and width are known', () => {
  for (const missing of ['teeth', 'moduleMm', 'faceMm'] as const) expect(makeQuestion({ ...typed, [missing]: '' })).toBeNull();
});

test('a printed plastic is drawn larger by the guide, a wire path runs outside, and what is typed goes before both', () => {
  expect(makeQuestion(typed)?.allowance).toEqual({ shrinkagePercent: 1.2, kerfMm: 0 });
  expect(makeQuestion({ ...typed, process: 'wire' })?.allowance).toEqual({ shrinkagePercent: 0, kerfMm: 0.3 });
  expect(makeQuestion({ ...typed, shrinkage: '0,8', kerf: '0.1' })?.allowance).toEqual({ shrinkagePercent: 0.8, kerfMm: 0.1 });
});

test.each([
  ['a round bore', { boreMm: '3' }],
  ['a D', { bore: 'dFlat', boreMm: '4', flatMm: '3.5' }],
  ['a hub', { boreMm: '3', hubMm: '6', hubLengthMm: '2' }],
  ['no bore known yet', {}],
] as const)('with %s it is a file', (_name, more) => {
  const question = makeQuestion({ ...typed, ...more });
  const made = question && runOperation('make.file', { ...question, format: 'stl', family: 'dash-odometer-motor' });
  expect(made?.ok && made.output.name).toBe('gear-24-m0.5.stl');
});

test('the worker refuses it for a steering box, whatever the screen says', () => {
  const question = makeQuestion(typed);
  const made = question && runOperation('make.file', { ...question, format: 'stl', family: 'worm-steering-box' });
  expect(made?.ok).toBe(false);
});
