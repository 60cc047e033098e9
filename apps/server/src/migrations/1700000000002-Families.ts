import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Families1700000000002 implements MigrationInterface {
  name = 'Families1700000000002';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE families (
        shop_id text NOT NULL REFERENCES shops, id text NOT NULL, version int NOT NULL, pack jsonb NOT NULL,
        PRIMARY KEY (shop_id, id)
      );
      ALTER TABLE machine_models ADD COLUMN overrides jsonb;
      ALTER TABLE machines ADD COLUMN truth jsonb;
      CREATE INDEX jobs_by_family ON jobs (shop_id, family);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'DROP INDEX jobs_by_family; ALTER TABLE machines DROP COLUMN truth; ALTER TABLE machine_models DROP COLUMN overrides; DROP TABLE families',
    );
  }
}
