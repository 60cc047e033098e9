import { t as catalogue } from '@patient-badger/wording/catalogue';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { arrive, button } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

/** Lines of the file, counted as an editor does, with what is wrong there and what it should be. */
const SLIPS: readonly (readonly [line: number, field: string, column: number, wrong: string, right: string])[] = [
  [5, 'teeth', 2, 'x', '20'],
  [40, 'teeth', 2, '17.5', '17'],
  [77, 'type', 1, 'sprocket', 'spur'],
  [300, 'type', 1, '', 'spur'],
  [501, 'normalModuleMm', 3, '', '1.5'],
  [502, 'normalModuleMm', 3, 'one', '1'],
  [900, 'boreDiameterMm', 4, 'eight', '8'],
  [1200, 'boreDiameterMm', 4, '-8', '8'],
  [2500, 'faceWidthMm', 5, '10000', '10'],
  [3333, 'price', 6, 'dear', '12'],
  [4000, 'partNumber', 0, 'L-0', 'L-3998'],
  [5001, 'partNumber', 0, '', 'L-4999'],
];

test('a list of 5,000 parts with 12 bad rows is mended on the phone and brought in, all or nothing', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  const lines = Array.from({ length: 5000 }, (_, i) => [
    `L-${i}`,
    'spur',
    String(10 + (i % 60)),
    ['1', '1.25', '1.5', '2'][i % 4],
    '8',
    '10',
    '9.50',
  ]);
  for (const [line, , column, wrong] of SLIPS) (lines[line - 2] as string[])[column] = wrong;
  const file = join(await mkdtemp(join(tmpdir(), 'badger-parts-')), 'list.csv');
  await writeFile(file, ['Part no;Kind;Teeth;Mod;Bore;Breadth;Price', ...lines.map((each) => each.join(';'))].join('\n'));

  await page.goto(`${stage.address}/parts/import`);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('choose-parts').click()]);
  await chooser.setFiles(file);
  // One column goes by a name the app does not know.
  await page.getByTestId('column-faceWidthMm').click();
  await button(page, 'Breadth').click();
  await page.getByTestId('check-rows').click();
  await page.getByText(catalogue.goodToMend(4988, 12)).waitFor();
  expect(await page.getByTestId('bring-in').count()).toBe(0);
  for (const [line, field, , , right] of SLIPS) await page.getByTestId(`mend-${line}-${field}`).fill(right);
  await page.getByTestId('check-rows').click();
  await page.getByText(catalogue.goodToMend(5000, 0)).waitFor();
  await page.getByTestId('bring-in').click();
  await page.getByText(catalogue.addedReplacedSkipped(5000, 0, 0)).waitFor();
  await inTime(
    stage.databaseUrl,
    `SELECT count(*)::int AS n, count(*) FILTER (WHERE face_mm = 10)::int AS w FROM parts WHERE part_number LIKE 'L-%'`,
    [{ n: 5000, w: 5000 }],
  );
});
