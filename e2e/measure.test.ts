import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as gear } from '@patient-badger/wording/gear';
import { t as log } from '@patient-badger/wording/log';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { arrive, button, read, shows, showsExactly, takeIn } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('a broken wheel is known on the phone from a piece of its rim; what cannot be is said, and nothing read is lost', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  await page.getByText(gear.measureThisNext).waitFor();
  await page.getByRole('heading', { name: shared.teeth, exact: true }).waitFor();

  // Seven teeth are left, six pitches over 53°; one reading of it slips by a digit first.
  await page.getByTestId('callout-arcDeg').click();
  for (const key of '530') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByText(gear.aPieceOfARim).waitFor();
  await page.keyboard.press('Backspace');
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('pad-display').waitFor({ state: 'detached' });
  await read(page, 'spanMm', '9.99');
  const first = page.getByRole('radio', { name: setup.teeth }).first();
  await first.waitFor();

  // The advice names a span that the piece has teeth for, and the pad opens on that count.
  await page.getByRole('heading', { name: /^Span over [4-7] teeth$/ }).waitFor();
  await page.getByTestId('measure-next').click();
  await page.getByTestId('pad-display').waitFor();
  const over = Number(await page.getByTestId('over').textContent());
  const pitch = 3.690165;
  for (const key of (9.991112 + (over - 3) * pitch).toFixed(2)) await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByText(gear.module('1.25, 41 teeth, 20°')).first().waitFor();
  await shows(first, gear.module('1.25, 41 teeth, 20°'));

  // Read on through a reload, and against each other: less over more teeth cannot be.
  await page.reload();
  await page.getByText(gear.module('1.25, 41 teeth, 20°')).first().waitFor();
  await page.getByTestId('callout-spanMm').click();
  for (const key of '60.00') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByText(gear.theReadingsAreKeptTake, { exact: false }).waitFor();
  await inTime(
    stage.databaseUrl,
    `SELECT count(*)::int AS n FROM entries WHERE payload->>'kind' = 'dimensionRead' AND payload->>'gear' = 'gear'`,
    [{ n: 4 }],
  );

  // The part is written down by hand.
  await page.getByLabel(gear.whatYouMeasuredOrThe).fill('41 teeth, bushed');
  await button(page, shared.writeItDown).click();
  await page.getByText(/: 41 teeth, bushed$/).waitFor();
});

test('wear and mate are worked out as one reads; the new part in the wrong width is seen beside the old one', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  await read(page, 'teeth', '41');
  await read(page, 'tipDiameterMm', '53.70');
  await read(page, 'spanMm', '17.22');
  // That was over five teeth, not three: no gear is like it. Taken back, it is gone from the sum.
  await page.getByText(gear.noStandardGearReadsLike, { exact: false }).waitFor();
  await page.getByTestId('callout-spanMm').click();
  for (let over = 3; over < 5; over++) await page.getByRole('button', { name: '+', exact: true }).click();
  for (const key of '17.30') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('pad-display').waitFor({ state: 'detached' });
  await page.goto(page.url().replace(/gear\/gear.*/, 'log'));
  const slip = page.getByTestId('entry').filter({ hasText: gear.spanOver('teeth: 17.22 mm over 3') });
  await button(slip, log.takeItBack).click();
  await page.getByText(log.takenBack).first().waitFor();
  await page.goto(page.url().replace(/log.*/, 'gear/gear'));
  await page.getByTestId('wear-verdict').waitFor();
  await shows(page.getByTestId('wear-verdict'), /^(Good|Watch it)$/);

  // The maker's sheet is stricter than the rule of thumb.
  await button(page, gear.thereIsALimitOn).click();
  await page.getByLabel(/^How much thinner/).fill('0.01');
  await button(page, gear.useThisLimit).click();
  await page.getByText(gear.sayWhoseFigureItIs, { exact: false }).waitFor();
  await page.getByLabel(shared.whoseFigureItIs).fill('workshop sheet 12');
  await button(page, gear.useThisLimit).click();
  await page.getByText('workshop sheet 12', { exact: false }).first().waitFor();

  await page.getByTestId('callout-centreDistanceMm').click();
  for (const key of '36.35') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('mesh-backlash').waitFor();
  await page.getByText(/^Contact ratio 1\.\d\d/).waitFor();

  // Only nine of its teeth have worked.
  await page.getByTestId('open-arcs').click();
  for (const [label, text] of [
    [gear.firstToothThatHasWorked, '3'],
    [gear.lastToothThatHasWorked, '55'],
    [gear.teethThatTheTravelNeeds, '9'],
  ] as const)
    await page.getByLabel(label).fill(text);
  await page.getByTestId('keep-arcs').click();
  await page.getByText(/must lie between 1 and 41/).waitFor();
  await page.getByLabel(gear.lastToothThatHasWorked).fill('11');
  await page.getByTestId('keep-arcs').click();
  await showsExactly(page.getByTestId('fresh-positions'), gear.freshLeft(3, gear.positions));

  await page.getByTestId('compare').click();
  for (const [cell, keys] of [
    ['first-faceWidthMm', '10'],
    ['second-faceWidthMm', '12'],
    ['second-teeth', '41'],
  ] as const) {
    await page.getByTestId(cell).click();
    await page.getByTestId('pad-display').waitFor();
    for (const key of keys) await page.keyboard.press(key);
    await page.getByTestId('keep-reading').click();
    await page.getByTestId('pad-display').waitFor({ state: 'detached' });
  }
  await showsExactly(page.getByTestId('compare-deciding'), gear.notTheSame(shared.faceWidth));
  await page.getByText(gear.differs('2.00 mm more')).waitFor();
  await page.reload();
  await page.getByTestId('compare-deciding').waitFor();
});

test('a bevel is known from its teeth, its mate’s and the large end', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Ferry slip trimmer/, 'Engine revs, the head stands');
  await page.goto(`${page.url().split('?')[0]}/gear/pinion`);
  await page.getByText(gear.countTheTeethOfBoth, { exact: false }).waitFor();
  await read(page, 'teeth', '13');
  await read(page, 'mateTeeth', '19');
  // Module 1.5: 1.5 (13 + 2 cos 34.4°) over the tips.
  await read(page, 'tipDiameterMm', '21.95');
  await read(page, 'toothHeightMm', '3.36');
  const first = page.getByRole('radio', { name: setup.teeth }).first();
  await first.waitFor();
  await page
    .getByText(gear.andTeeth('module 1.5', 13, 19))
    .first()
    .waitFor();
  // Its square on the shaft: a slip of the finger first.
  await page.getByTestId('open-seat').click();
  await button(page, shared.square)
    .or(page.getByRole('radio', { name: shared.square }))
    .first()
    .click();
  await page.getByLabel('Hole, flat to flat, mm').fill('ten');
  await page.getByTestId('keep-seat').click();
  await page.getByText('that is not one number', { exact: false }).waitFor();
  await page.getByLabel('Hole, flat to flat, mm').fill('10.2');
  await page.getByLabel('Shaft, flat to flat, mm').fill('10');
  await page.getByTestId('keep-seat').click();
  await showsExactly(page.getByTestId('seat-verdict'), shared.watchIt);
  await page.getByText(/^2\.3° of play on the shaft/).waitFor();
  // A second reading of the same far off is said, not averaged away.
  await read(page, 'tipDiameterMm', '22.95');
  await page.getByText(containing(gear.theReadingsLieApart(ANYTHING, '1.00 mm'))).waitFor();
});
