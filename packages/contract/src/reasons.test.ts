import { SCHEMA_REASONS, failureFromZod, type FailureReason } from '@patient-badger/core';
import { entry } from '@patient-badger/core/job';
import { packSchema } from '@patient-badger/core/machine';
import type { z } from 'zod';
import { bookWriting, machineDraft, meterReading, modelDraft } from './machines.ts';
import { partChange } from './parts.ts';
import { secretChange, personDraft, shopChange, signIn } from './people.ts';
import { shelfDraft } from './shelf.ts';

const ID = '0197a000-0000-7000-8000-000000000001';
const model = { id: ID, maker: 'Tovelund', code: 'T5-46', family: 'saw-oil-pump' };
const used = { id: ID, name: 'Worm', attributes: {}, cameFrom: 'A saw', condition: 'good', place: 'Drawer 2' };
const person = { name: 'Tobin', role: 'mechanic', passphrase: 'a few words of their own' };
const kept = { id: ID, jobId: ID, at: '2026-05-04T10:00:00Z', by: 'tobin', payload: { kind: 'noteWritten', text: 'wet' } };

const OF_SCHEMAS: readonly [FailureReason, z.ZodType, object, string][] = [
  ['noMachineName', machineDraft, { id: ID, family: 'saw-oil-pump', label: ' ' }, 'label'],
  ['notDate', meterReading, { id: ID, on: '4.5.26', hours: 3, km: null }, 'on'],
  ['noMeterFigure', meterReading, { id: ID, on: '2026-05-04', hours: -1, km: null }, 'hours'],
  ['noMeterReading', meterReading, { id: ID, on: '2026-05-04', hours: null, km: null }, ''],
  ['noMaker', modelDraft, { ...model, maker: '' }, 'maker'],
  ['noModelCode', modelDraft, { ...model, code: ' ' }, 'code'],
  ['noFamily', modelDraft, { ...model, family: '' }, 'family'],
  ['noSource', bookWriting, { jobId: null, source: '', lines: [{ kind: 'note', text: 'a' }] }, ''],
  ['noChange', partChange, { ids: [ID], change: {} }, 'change'],
  ['noName', personDraft, { ...person, name: ' ' }, 'name'],
  ['passphraseShort', personDraft, { ...person, passphrase: 'short' }, 'passphrase'],
  ['noShopName', shopChange, { name: ' ' }, 'name'],
  ['notCurrency', shopChange, { currency: 'Taler' }, 'currency'],
  ['noPassphrase', signIn, { name: 'Tobin', passphrase: '' }, 'passphrase'],
  ['notPin', secretChange, { passphrase: 'a few words', newPin: '12' }, 'newPin'],
  ['noItemName', shelfDraft, { ...used, name: '' }, 'name'],
  ['noOrigin', shelfDraft, { ...used, cameFrom: '' }, 'cameFrom'],
  ['noPlace', shelfDraft, { ...used, place: ' ' }, 'place'],
  ['clockUnset', entry, { ...kept, at: '1903-05-04T10:00:00Z' }, 'at'],
  ['notId', packSchema, { id: 'A Saw!' }, 'id'],
];

test.each(OF_SCHEMAS)('a schema refuses with its own reason: %s', (reason, schema, given, path) => {
  const read = schema.safeParse(given);
  if (read.success) throw new Error('taken');
  const issue = read.error.issues.find((each) => each.path.join('.') === path);
  expect(failureFromZod({ ...read.error, issues: [issue] } as z.ZodError, given)).toMatchObject({ path, detail: { reason } });
});

test('each reason that schemas give is in the table', () => {
  const elsewhere = ['notPractice', 'notPixels'];
  expect([...OF_SCHEMAS.map(([reason]) => reason), ...elsewhere].sort()).toEqual([...SCHEMA_REASONS].sort());
});
