import type { PartAttributes } from '@patient-badger/core/parts';
import { EntitySchema } from 'typeorm';

export interface ShelfRow {
  id: string;
  shopId: string;
  name: string;
  attributes: PartAttributes;
  cameFrom: string;
  machineId: string | null;
  workedHours: number | null;
  workedKm: number | null;
  condition: 'good' | 'worn' | 'notMeasured';
  place: string;
  inside: boolean;
  note: string;
  by: string;
  addedAt: Date;
  gone: string | null;
}

export const shelf = new EntitySchema<ShelfRow>({
  name: 'shelf',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    name: { type: 'text' },
    attributes: { type: 'jsonb' },
    cameFrom: { type: 'text', name: 'came_from' },
    machineId: { type: 'uuid', name: 'machine_id', nullable: true },
    workedHours: { type: 'double precision', name: 'worked_hours', nullable: true },
    workedKm: { type: 'double precision', name: 'worked_km', nullable: true },
    condition: { type: 'text' },
    place: { type: 'text' },
    inside: { type: 'boolean' },
    note: { type: 'text' },
    by: { type: 'text' },
    addedAt: { type: 'timestamptz', name: 'added_at' },
    gone: { type: 'text', nullable: true },
  },
});
