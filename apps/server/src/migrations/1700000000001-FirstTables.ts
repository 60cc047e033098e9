import type { MigrationInterface, QueryRunner } from 'typeorm';

export class FirstTables1700000000001 implements MigrationInterface {
  name = 'FirstTables1700000000001';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE shops (id text PRIMARY KEY, name text NOT NULL, currency text NOT NULL);
      CREATE TABLE people (
        id text PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, name text NOT NULL, role text NOT NULL
      );
      CREATE TABLE machine_models (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops,
        maker text NOT NULL, code text NOT NULL, family text NOT NULL, note text
      );
      CREATE TABLE machines (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, model_id uuid REFERENCES machine_models,
        family text NOT NULL, label text NOT NULL, serial text NOT NULL, owner text NOT NULL, facts jsonb NOT NULL
      );
      CREATE TABLE jobs (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, machine_id uuid NOT NULL REFERENCES machines,
        family text NOT NULL, closed boolean NOT NULL
      );
      CREATE INDEX jobs_by_bench ON jobs (shop_id, closed);
      CREATE TABLE entries (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, job_id uuid NOT NULL REFERENCES jobs,
        "at" timestamptz NOT NULL, "by" text NOT NULL REFERENCES people, payload jsonb NOT NULL,
        received_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX entries_of_job ON entries (job_id, "at");
      CREATE TABLE photos (
        shop_id text NOT NULL REFERENCES shops, hash text NOT NULL, type text NOT NULL,
        width int NOT NULL, height int NOT NULL, bytes bytea NOT NULL, preview bytea NOT NULL,
        PRIMARY KEY (shop_id, hash)
      );
      CREATE TABLE parts (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, part_number text NOT NULL, name text NOT NULL,
        supplier text NOT NULL, type text NOT NULL, module_mm double precision, attributes jsonb NOT NULL,
        price_minor int NOT NULL, lead_days int NOT NULL, stock int NOT NULL, claims text[] NOT NULL,
        UNIQUE (shop_id, part_number)
      );
      CREATE INDEX parts_by_size ON parts (shop_id, type, module_mm);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE parts, photos, entries, jobs, machines, machine_models, people, shops');
  }
}
