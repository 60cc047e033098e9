import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A number read off a machine is found by its beginning, however many entries there are. */
export class PlatesFound1700000000010 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE INDEX plates_by_number ON entries (shop_id, lower(payload->>'partNumber') text_pattern_ops) WHERE payload->>'kind' = 'plateRead'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX plates_by_number');
  }
}
