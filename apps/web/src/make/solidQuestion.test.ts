import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '@patient-badger/core/machine';
import { runOperation } from '../data/runOperation.ts';
import { knownOfSolid, NO_SOLID, solidParts, solidQuestion, type TypedSolid } from './solidQuestion.ts';

const dash = findFamily('dash-odometer-motor') as Pack;
const trimmer = findFamily('trimmer-bevel-head') as Pack;
const cardOf = (pack: Pack, id: string) => pack.gears.find((card) => card.id === id) as Pack['gears'][number];
const wheel: TypedSolid = { ...NO_SOLID, starts: '1', moduleMm: '0,5', wormDiameterMm: '8', wheelTeeth: '24', faceMm: '4' };

test('nothing is asked before the figures are there; of a wheel its worm is asked for with it', () => {
  for (const missing of ['starts', 'moduleMm', 'wormDiameterMm', 'wheelTeeth', 'faceMm'] as const)
    expect(solidQuestion('wormWheel', { ...wheel, [missing]: '' })).toBeNull();
  expect(solidQuestion('worm', wheel)).toBeNull();
  expect(solidQuestion('worm', { ...wheel, lengthMm: '12' })?.part).toMatchObject({ kind: 'worm', lengthMm: 12, pitchDiameterMm: 8 });
});

test('a pair that is typed is taken by the sums, and has the backlash that was typed', () => {
  const pair = solidParts('wormWheel', { ...wheel, backlashMm: '0.08' }).pair;
  const worked = runOperation('make.pair', { family: 'none', a: pair?.[0], b: pair?.[1] });
  expect(worked.ok && Math.abs(worked.output.backlashMm - 0.08) < 0.005).toBe(true);
});

test('what is wanted between two bevels is shared by them', () => {
  const typed: TypedSolid = {
    ...NO_SOLID,
    pinionTeeth: '15',
    wheelTeeth: '30',
    moduleMm: '2',
    faceMm: '6',
    backlashMm: '0.1',
    member: 'pinion',
  };
  expect(solidQuestion('bevel', typed)?.part).toMatchObject({ member: 'pinion', toothThinningMm: 0.05 });
  expect(solidParts('bevel', typed).pair?.map((part) => 'member' in part && part.member)).toEqual(['pinion', 'wheel']);
});

test('counts come from the chain, figures from what was measured of the gear and of its worm', () => {
  const measured = { card: cardOf(dash, 'wheel'), pack: dash, own: { teeth: 22, faceWidthMm: { value: 4.02, plusMinus: 0.02 } } };
  expect(knownOfSolid({ ...measured, worm: { axialModuleMm: 0.5, pitchDiameterMm: 8, hand: 'left' } })).toMatchObject({
    starts: '1',
    wheelTeeth: '22',
    moduleMm: '0.5',
    wormDiameterMm: '8',
    hand: 'left',
    faceMm: '4.02',
  });
  expect(knownOfSolid({ pack: trimmer, card: cardOf(trimmer, 'gear'), own: undefined, worm: undefined })).toMatchObject({
    pinionTeeth: '12',
    wheelTeeth: '17',
    member: 'wheel',
  });
  expect(knownOfSolid({ pack: trimmer, card: cardOf(trimmer, 'pinion'), own: undefined, worm: undefined }).member).toBe('pinion');
});

test('a rack has no seat and no pair; a body has no kerf, whatever is typed', () => {
  const rack = { ...NO_SOLID, wheelTeeth: '12', moduleMm: '4', faceMm: '20', backMm: '10', boreMm: '8', kerf: '0.3' };
  expect(solidQuestion('rack', rack)).toMatchObject({ part: { kind: 'rack', teeth: 12, backMm: 10 }, bore: { shape: 'none' } });
  expect(solidParts('rack', rack).pair).toBeNull();
  expect(solidQuestion('wormWheel', { ...wheel, kerf: '0.3' })?.allowance).toMatchObject({ kerfMm: 0 });
});
