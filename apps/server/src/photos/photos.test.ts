import { randomBytes } from 'node:crypto';
import { crc32, deflateSync } from 'node:zlib';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import type { PhotoReceipt, Problem } from '@patient-badger/contract';
import { readPhoto, typeOf } from './readPhoto.ts';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const send = (bytes: Buffer, type = 'image/png') =>
  server.inject({ method: 'POST', url: '/api/photos', payload: bytes, headers: { 'content-type': type, 'x-person': 'wren' } });

function png(width: number, height: number): Buffer {
  const image = new PNG({ width, height });
  for (let i = 0; i < image.data.length; i++) image.data[i] = i % 4 === 3 ? 255 : (i * 7) % 256;
  return PNG.sync.write(image);
}

const chunk = (type: string, data: Buffer) => {
  const head = Buffer.alloc(8);
  head.writeUInt32BE(data.length);
  head.write(type, 4, 'latin1');
  const crc = Buffer.alloc(4);
  crc.writeUInt32BE(crc32(Buffer.concat([head.subarray(4), data])));
  return Buffer.concat([head, data, crc]);
};
function headed(width: number, height: number, interlace: number, data: Buffer): Buffer {
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 6, 0, 0, interlace], 8);
  return Buffer.concat([png(1, 1).subarray(0, 8), chunk('IHDR', header), chunk('IDAT', data), chunk('IEND', Buffer.alloc(0))]);
}
/** A small header over data that inflates to so many bytes. */
const swollen = (width: number, height: number, bytes: number) => headed(width, height, 0, deflateSync(Buffer.alloc(bytes)));
const interlaced = (width: number, height: number) => headed(width, height, 1, deflateSync(Buffer.alloc(16)));

test('a photo is kept by its hash, once, and given back byte for byte with a small preview', async () => {
  const bytes = png(600, 400);
  const receipt = (await send(bytes)).json<PhotoReceipt>();
  expect(receipt).toMatchObject({ type: 'image/png', width: 600, height: 400, bytes: bytes.length });
  expect((await send(bytes)).json<PhotoReceipt>().hash).toBe(receipt.hash);
  const back = await server.inject(`/api/photos/${receipt.hash}`);
  expect(back.rawPayload.equals(bytes)).toBe(true);
  const small = await server.inject(`/api/photos/${receipt.hash}/preview`);
  expect(typeOf(small.rawPayload)).toBe('image/jpeg');
  expect(jpeg.decode(small.rawPayload)).toMatchObject({ width: 240, height: 160 });
});

test('a JPEG is told by its content, whatever it is called', async () => {
  const bytes = jpeg.encode({ width: 32, height: 20, data: randomBytes(32 * 20 * 4) }, 80).data;
  expect((await send(Buffer.from(bytes), 'text/plain')).json<PhotoReceipt>()).toMatchObject({ type: 'image/jpeg', width: 32, height: 20 });
});

test.each([
  ['forty megabytes', () => Buffer.concat([png(8, 8), Buffer.alloc(40 * 1024 * 1024)]), 413, 'photoTooLarge'],
  ['a text', () => Buffer.from('this is no photo at all'), 415, 'photoWrongType'],
  ['half a PNG', () => png(300, 300).subarray(0, 2000), 422, 'photoBroken'],
  [
    'a PNG that claims a thousand megapixels',
    () => {
      const bytes = png(8, 8);
      bytes.writeUInt32BE(40_000, 16);
      bytes.writeUInt32BE(40_000, 20);
      return bytes;
    },
    413,
    'photoTooManyPixels',
  ],
  ['one dot that inflates to two hundred megabytes', () => swollen(1, 1, 200 * 1024 * 1024), 422, 'photoBroken'],
  ['an interlaced one of nine million dots', () => interlaced(3000, 3000), 413, 'photoTooManyPixels'],
  ['nothing', () => Buffer.alloc(0), 422, 'photoBroken'],
])('refuses %s with a sentence', async (_name, bytes, status, code) => {
  const answer = await send(bytes());
  expect([answer.statusCode, answer.json<Problem>().code]).toEqual([status, code]);
  expect(answer.json<Problem>().sentence).toMatch(/photo/i);
});

test('a JPEG cut short is refused', () => {
  const bytes = Buffer.from(jpeg.encode({ width: 64, height: 64, data: randomBytes(64 * 64 * 4) }, 90).data);
  expect(readPhoto(bytes.subarray(0, bytes.length / 3))).toEqual({ ok: false, code: 'photoBroken' });
});

test('more photos at once than may wait: some are told to come again, none is called damaged, and no more than two are read at once', async () => {
  const many = Array.from({ length: 30 }, (_, i) => png(64 + i, 40));
  const answers = await Promise.all(many.map((bytes) => send(bytes)));
  const codes = answers.map((answer) => (answer.statusCode === 200 ? 'kept' : answer.json<Problem>().code));
  expect(new Set(codes)).toEqual(new Set(['kept', 'photoBusy']));
  const late = many.filter((_, i) => codes[i] === 'photoBusy');
  for (const bytes of late) expect((await send(bytes)).statusCode).toBe(200);
});
