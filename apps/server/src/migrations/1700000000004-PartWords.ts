import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Parts by words, by the beginning of their number, and in the orders that a table is read in. */
export class PartWords1700000000004 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE parts ADD COLUMN words tsvector
        GENERATED ALWAYS AS (to_tsvector('simple'::regconfig, name || ' ' || supplier)) STORED;
      CREATE INDEX parts_by_words ON parts USING gin (words);
      CREATE INDEX parts_by_number ON parts (shop_id, lower(part_number) text_pattern_ops);
      CREATE INDEX parts_by_price ON parts (shop_id, price_minor, part_number);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX parts_by_price; DROP INDEX parts_by_number; DROP INDEX parts_by_words;
      ALTER TABLE parts DROP COLUMN words;
    `);
  }
}
