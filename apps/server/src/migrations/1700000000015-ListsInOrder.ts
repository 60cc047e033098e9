import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Each order in which lists are paged has an index that holds it: the bench's, and the catalogue's by size. */
export class ListsInOrder1700000000015 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE jobs ADD COLUMN waits boolean NOT NULL
        GENERATED ALWAYS AS (coalesce(move->>'kind' = 'waitForPart' AND move_seq = seq, false)) STORED;
      DROP INDEX jobs_on_bench;
      CREATE INDEX jobs_on_bench ON jobs (shop_id, (coalesce(promised_on, 'infinity'::date)), waits, taken_in_at, id) WHERE NOT closed;
      DROP INDEX parts_by_module;
      CREATE INDEX parts_by_module ON parts (shop_id, (coalesce(module_mm, 'infinity'::float8)), (coalesce(teeth, 0)), part_number);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX parts_by_module;
      CREATE INDEX parts_by_module ON parts (shop_id, module_mm, teeth, part_number);
      DROP INDEX jobs_on_bench;
      ALTER TABLE jobs DROP COLUMN waits;
      CREATE INDEX jobs_on_bench ON jobs (shop_id, promised_on, taken_in_at) WHERE NOT closed;
    `);
  }
}
