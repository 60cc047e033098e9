import { t as shelf } from '@patient-badger/wording/shelf';
import { cellSentence } from '@patient-badger/wording';
import { checkRows, mended, readPartsFile } from './partsFile.ts';

const file = (text: string) => Object.assign(new Blob([text]), { name: 'list.csv', text: () => Promise.resolve(text) }) as unknown as File;
const check = (read: Awaited<ReturnType<typeof readPartsFile>>) =>
  checkRows(read, { mapping: read.mapping, unit: 'mm', onProgress: () => undefined, stopped: () => false });

test('semicolons and commas both part columns; bad rows are told by their line, and mended in place', async () => {
  const read = await readPartsFile(file('part no;kind;z;module;bore\nA-1;spur;17;1,5;8\nA-2;spur;x;1;8\nA-1;spur;20;1;8\n'));
  const found = await check(read);
  expect(found?.drafts).toHaveLength(1);
  expect(found?.bad.map(({ index, problems }) => [index, problems[0]?.field, problems[0] && cellSentence(problems[0])])).toEqual([
    [1, 'teeth', shelf.thatIsNotOneNumberSentence],
    [2, 'partNumber', 'It stands in line 2 already.'],
  ]);
  const better = mended(mended(read, { index: 1, mapping: read.mapping, field: 'teeth', text: '18' }), {
    index: 2,
    mapping: read.mapping,
    field: 'partNumber',
    text: 'A-3',
  });
  expect((await check(better))?.bad).toEqual([]);
});

test('what is no table is refused, and a check that is stopped gives nothing', async () => {
  await expect(readPartsFile(file('just a letter'))).rejects.toThrow(/holds no table/);
  const read = await readPartsFile(file('part no,kind\nA,spur\n'));
  expect(await checkRows(read, { mapping: read.mapping, unit: 'mm', onProgress: () => undefined, stopped: () => true })).toBeNull();
});

test('a second seller may list the same number, but not for another gear', async () => {
  const read = await readPartsFile(
    file('part no,kind,teeth,module,supplier\nA-1,spur,17,1,Quernby\nA-1,spur,17,1,Hobdray\nA-1,spur,18,1,Pellmarsh\n'),
  );
  const found = await check(read);
  expect(found?.drafts.map(({ supplier }) => supplier)).toEqual(['Quernby', 'Hobdray']);
  expect(found?.bad.map(({ index, problems }) => [index, problems[0] && cellSentence(problems[0])])).toEqual([
    [2, 'Line 2 has the same number for another gear.'],
  ]);
});
