import { EntitySchema } from 'typeorm';

/** A list that is being taken in, kept in the database so that any server process can say how far it is, or stop it. */
export interface ImportRow {
  id: string;
  shopId: string;
  by: string;
  state: 'running' | 'done' | 'failed' | 'cancelled';
  done: number;
  total: number;
  receipt: { added: number; replaced: number; skipped: number } | null;
  sentence: string | null;
  cancelAsked: boolean;
  touchedAt: Date;
}

export const imports = new EntitySchema<ImportRow>({
  name: 'imports',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    by: { type: 'text' },
    state: { type: 'text' },
    done: { type: 'int' },
    total: { type: 'int' },
    receipt: { type: 'jsonb', nullable: true },
    sentence: { type: 'text', nullable: true },
    cancelAsked: { type: 'boolean', name: 'cancel_asked' },
    touchedAt: { type: 'timestamptz', name: 'touched_at' },
  },
});
