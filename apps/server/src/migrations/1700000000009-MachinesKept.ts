import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Owners as contacts, meters read over time, records retired or merged, and the model book. */
export class MachinesKept1700000000009 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE machines ADD COLUMN contact text NOT NULL DEFAULT '', ADD COLUMN retired_at timestamptz,
        ADD COLUMN merged_into uuid REFERENCES machines;
      ALTER TABLE machine_models ADD COLUMN retired_at timestamptz;
      CREATE UNIQUE INDEX models_by_name ON machine_models (shop_id, lower(maker), lower(code));
      CREATE TABLE meter_readings (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, machine_id uuid NOT NULL REFERENCES machines,
        "on" date NOT NULL, hours float8, km float8, "by" text NOT NULL REFERENCES people
      );
      CREATE INDEX readings_of_machine ON meter_readings (machine_id, "on");
      CREATE TABLE book_lines (
        model_id uuid NOT NULL REFERENCES machine_models, shop_id text NOT NULL REFERENCES shops, key text NOT NULL,
        line jsonb NOT NULL, job_id uuid REFERENCES jobs, "by" text REFERENCES people, "at" timestamptz NOT NULL DEFAULT now(),
        source text NOT NULL DEFAULT '', PRIMARY KEY (model_id, key, source)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE book_lines, meter_readings; DROP INDEX models_by_name; ALTER TABLE machine_models DROP COLUMN retired_at;
      ALTER TABLE machines DROP COLUMN contact, DROP COLUMN retired_at, DROP COLUMN merged_into;
    `);
  }
}
