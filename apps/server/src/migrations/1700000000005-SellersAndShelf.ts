import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Further sellers of a part, parts named in place of others, the donor shelf, and lists on their way in. */
export class SellersAndShelf1700000000005 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE listings (
        part_id uuid NOT NULL REFERENCES parts ON DELETE CASCADE, supplier text NOT NULL,
        price_minor int NOT NULL, lead_days int NOT NULL, stock int NOT NULL, claims text[] NOT NULL,
        PRIMARY KEY (part_id, supplier)
      );
      CREATE TABLE part_links (
        part_id uuid NOT NULL REFERENCES parts ON DELETE CASCADE,
        kind text NOT NULL CHECK (kind IN ('supersededBy', 'alternative')), to_number text NOT NULL,
        PRIMARY KEY (part_id, kind, to_number)
      );
      CREATE TABLE shelf (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, name text NOT NULL, attributes jsonb NOT NULL,
        came_from text NOT NULL, machine_id uuid REFERENCES machines, worked_hours float8, worked_km float8,
        condition text NOT NULL CHECK (condition IN ('good', 'worn', 'notMeasured')), place text NOT NULL, inside boolean NOT NULL,
        note text NOT NULL, "by" text NOT NULL REFERENCES people, added_at timestamptz NOT NULL, gone text
      );
      CREATE INDEX shelf_of_shop ON shelf (shop_id, added_at);
      CREATE TABLE imports (
        id uuid PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, "by" text NOT NULL REFERENCES people,
        state text NOT NULL CHECK (state IN ('running', 'done', 'failed', 'cancelled')),
        done int NOT NULL, total int NOT NULL, receipt jsonb, sentence text,
        cancel_asked boolean NOT NULL, touched_at timestamptz NOT NULL
      );
      CREATE INDEX fitted_by_part ON entries ((payload->>'partId')) WHERE payload->>'kind' = 'partFitted';
      CREATE INDEX jobs_of_machine ON jobs (machine_id);
      CREATE INDEX parts_by_module ON parts (shop_id, module_mm, teeth, part_number);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX parts_by_module; DROP INDEX jobs_of_machine; DROP INDEX fitted_by_part;
      DROP TABLE imports, shelf, part_links, listings;
    `);
  }
}
