import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When a job was promised, the order of the bench by it, and words that were typed a little wrong. */
export class BenchAndNear1700000000011 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE EXTENSION IF NOT EXISTS pg_trgm;
      ALTER TABLE jobs ADD COLUMN promised_on date;
      CREATE INDEX jobs_on_bench ON jobs (shop_id, promised_on, taken_in_at) WHERE NOT closed;
      CREATE INDEX parts_near ON parts USING gin (lower(part_number || ' ' || name) gin_trgm_ops);
      CREATE INDEX machines_near ON machines USING gin (lower(label || ' ' || owner || ' ' || serial) gin_trgm_ops)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX machines_near;
      DROP INDEX parts_near;
      DROP INDEX jobs_on_bench;
      ALTER TABLE jobs DROP COLUMN promised_on;
      DROP EXTENSION pg_trgm`);
  }
}
