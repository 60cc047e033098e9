import { type EntryPayload } from '@patient-badger/core';
import { EntitySchema } from 'typeorm';

export interface JobRow {
  id: string;
  shopId: string;
  machineId: string;
  family: string;
  /** Kept beside the entries so that the bench need not fold every job of the shop. */
  closed: boolean;
}

export const jobs = new EntitySchema<JobRow>({
  name: 'jobs',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    machineId: { type: 'uuid', name: 'machine_id' },
    family: { type: 'text' },
    closed: { type: 'boolean' },
  },
});

export interface EntryRow {
  id: string;
  shopId: string;
  jobId: string;
  at: Date;
  by: string;
  payload: EntryPayload;
}

export const entries = new EntitySchema<EntryRow>({
  name: 'entries',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    at: { type: 'timestamptz' },
    by: { type: 'text' },
    payload: { type: 'jsonb' },
  },
});
