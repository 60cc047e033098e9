import type { MigrationInterface, QueryRunner } from 'typeorm';

const number = (field: string) => `
  CASE jsonb_typeof(attributes->'${field}')
    WHEN 'number' THEN (attributes->>'${field}')::float8
    WHEN 'object' THEN (attributes#>>'{${field},value}')::float8
  END`;

/** What the search by dimensions looks at, beside the attributes themselves, and the index that it walks. */
export class PartSearch1700000000003 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE parts
        ADD COLUMN teeth int GENERATED ALWAYS AS ((attributes->>'teeth')::int) STORED,
        ADD COLUMN bore_mm float8 GENERATED ALWAYS AS (${number('boreDiameterMm')}) STORED,
        ADD COLUMN face_mm float8 GENERATED ALWAYS AS (${number('faceWidthMm')}) STORED;
      DROP INDEX parts_by_size;
      CREATE INDEX parts_by_size ON parts (shop_id, type, module_mm, teeth, bore_mm, face_mm) INCLUDE (id);
      CREATE INDEX parts_by_count ON parts (shop_id, type, teeth, module_mm, bore_mm, face_mm) INCLUDE (id);
      CREATE INDEX refusals_by_number ON entries (shop_id, (payload->>'partNumber')) WHERE payload->>'kind' = 'partRefused';
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX refusals_by_number; DROP INDEX parts_by_count; DROP INDEX parts_by_size;
      ALTER TABLE parts DROP COLUMN teeth, DROP COLUMN bore_mm, DROP COLUMN face_mm;
      CREATE INDEX parts_by_size ON parts (shop_id, type, module_mm);
    `);
  }
}
