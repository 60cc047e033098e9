import type { BenchMove, EntryPayload, JobSummary } from '@patient-badger/core/job';
import { EntitySchema, type ValueTransformer } from 'typeorm';

/** PostgreSQL's bigint comes as text; counts of entries stay far below 2^53. */
const counted: ValueTransformer = { to: (value: unknown) => value, from: (value: string) => Number(value) };

export interface JobRow {
  id: string;
  shopId: string;
  machineId: string;
  family: string;
  /** From here on: what lists show, kept beside the entries so that no list reads those. */
  closed: boolean;
  /** Somebody can be hurt by it, as its family was when it was taken in. */
  safetyCritical: boolean;
  complaint: string;
  takenInAt: Date;
  closedAt: Date | null;
  promisedOn: string | null;
  found: string | null;
  outcome: string | null;
  followUpOn: string | null;
  /** What was learnt from it, worked out when it was closed. */
  summary: JobSummary | null;
  /** The last of its entries. */
  seq: number;
  move: BenchMove | null;
  /** The entry up to which the move was worked out. */
  moveSeq: number;
}

export const jobs = new EntitySchema<JobRow>({
  name: 'jobs',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    machineId: { type: 'uuid', name: 'machine_id' },
    family: { type: 'text' },
    closed: { type: 'boolean' },
    safetyCritical: { type: 'boolean', name: 'safety_critical', default: false },
    complaint: { type: 'text' },
    takenInAt: { type: 'timestamptz', name: 'taken_in_at' },
    closedAt: { type: 'timestamptz', name: 'closed_at', nullable: true },
    promisedOn: { type: 'date', name: 'promised_on', nullable: true },
    found: { type: 'text', nullable: true },
    outcome: { type: 'text', nullable: true },
    followUpOn: { type: 'date', name: 'follow_up_on', nullable: true },
    summary: { type: 'jsonb', nullable: true },
    seq: { type: 'bigint', transformer: counted },
    move: { type: 'jsonb', nullable: true },
    moveSeq: { type: 'bigint', name: 'move_seq', transformer: counted },
  },
});

export interface EntryRow {
  id: string;
  shopId: string;
  jobId: string;
  /** Counted by shop as entries arrive: who has read up to one has missed none before it. */
  seq: number;
  at: Date;
  by: string;
  payload: EntryPayload;
  /** Whose the device was when it arrived, and what the device is called; null of what is older than that is known. */
  heldBy: string | null;
  device: string | null;
}

export const entries = new EntitySchema<EntryRow>({
  name: 'entries',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    seq: { type: 'bigint', transformer: counted },
    at: { type: 'timestamptz' },
    by: { type: 'text' },
    payload: { type: 'jsonb' },
    heldBy: { type: 'text', name: 'held_by', nullable: true },
    device: { type: 'text', nullable: true },
  },
});
