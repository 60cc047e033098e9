import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Rows of jobs that change without an entry are numbered like entries, so that who was away hears of them; columns check what they hold. */
export class RowsToldAgain1700000000014 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE shops ADD COLUMN last_row bigint NOT NULL DEFAULT 0;
      ALTER TABLE jobs ADD COLUMN row_seq bigint NOT NULL DEFAULT 0;
      CREATE INDEX jobs_by_row_seq ON jobs (shop_id, row_seq) WHERE row_seq > 0;
      ALTER TABLE photos ADD CONSTRAINT photos_are_pictures CHECK (type IN ('image/png', 'image/jpeg') AND width > 0 AND height > 0);
      ALTER TABLE people ADD CONSTRAINT people_have_roles CHECK (role IN ('owner', 'mechanic', 'apprentice'));
      ALTER TABLE imports ADD CONSTRAINT imports_have_states CHECK (state IN ('running', 'done', 'failed', 'cancelled'));
      ALTER TABLE entries ADD CONSTRAINT entries_have_kinds CHECK (jsonb_typeof(payload->'kind') = 'string');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE entries DROP CONSTRAINT entries_have_kinds;
      ALTER TABLE imports DROP CONSTRAINT imports_have_states;
      ALTER TABLE people DROP CONSTRAINT people_have_roles;
      ALTER TABLE photos DROP CONSTRAINT photos_are_pictures;
      DROP INDEX jobs_by_row_seq;
      ALTER TABLE jobs DROP COLUMN row_seq;
      ALTER TABLE shops DROP COLUMN last_row;
    `);
  }
}
