import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Parts that gave only a diametral pitch were stored without a size, and so never found by one. */
export class SizesByPitch1700000000006 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      UPDATE parts SET module_mm = 25.4 / (attributes->>'diametralPitch')::float8
      WHERE module_mm IS NULL AND jsonb_typeof(attributes->'diametralPitch') = 'number';
    `);
  }

  // The size is right whoever reads it: nothing to undo.
  async down(): Promise<void> {}
}
