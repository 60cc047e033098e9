import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sign-in, devices, roles, the settings of a shop, and who changed what outside the jobs. */
export class PeopleAndSessions1700000000008 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE shops ADD COLUMN length_unit text NOT NULL DEFAULT 'mm', ADD COLUMN distance_unit text NOT NULL DEFAULT 'km',
        ADD COLUMN torque_unit text NOT NULL DEFAULT 'N·m', ADD COLUMN rate_minor int NOT NULL DEFAULT 0;
      ALTER TABLE people RENAME COLUMN role TO about;
      ALTER TABLE people ADD COLUMN role text NOT NULL DEFAULT 'mechanic', ADD COLUMN passphrase text, ADD COLUMN pin text,
        ADD COLUMN retired_at timestamptz, ADD COLUMN failed int NOT NULL DEFAULT 0, ADD COLUMN locked_until timestamptz,
        ADD COLUMN added_at timestamptz NOT NULL DEFAULT now();
      UPDATE people SET role = 'apprentice' WHERE about ILIKE '%apprentice%';
      UPDATE people SET role = 'owner' WHERE id IN (SELECT min(id) FROM people GROUP BY shop_id);
      CREATE UNIQUE INDEX people_by_name ON people (shop_id, lower(name));
      CREATE TABLE sessions (
        id uuid PRIMARY KEY, token bytea NOT NULL UNIQUE, shop_id text NOT NULL REFERENCES shops,
        person_id text NOT NULL REFERENCES people, active_id text NOT NULL REFERENCES people, device text NOT NULL,
        began_at timestamptz NOT NULL DEFAULT now(), seen_at timestamptz NOT NULL DEFAULT now(), ends_at timestamptz NOT NULL
      );
      CREATE INDEX sessions_of_shop ON sessions (shop_id, person_id);
      CREATE TABLE session_people (
        session_id uuid NOT NULL REFERENCES sessions ON DELETE CASCADE, person_id text NOT NULL REFERENCES people,
        failed int NOT NULL DEFAULT 0, proven boolean NOT NULL DEFAULT false, PRIMARY KEY (session_id, person_id)
      );
      CREATE TABLE audit (
        id bigserial PRIMARY KEY, shop_id text NOT NULL REFERENCES shops, "at" timestamptz NOT NULL DEFAULT now(),
        "by" text REFERENCES people, what text NOT NULL, about text NOT NULL, before jsonb, after jsonb
      );
      CREATE INDEX audit_of_shop ON audit (shop_id, id DESC);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE audit, session_people, sessions; DROP INDEX people_by_name;
      ALTER TABLE people DROP COLUMN role, DROP COLUMN passphrase, DROP COLUMN pin, DROP COLUMN retired_at,
        DROP COLUMN failed, DROP COLUMN locked_until, DROP COLUMN added_at;
      ALTER TABLE people RENAME COLUMN about TO role;
      ALTER TABLE shops DROP COLUMN length_unit, DROP COLUMN distance_unit, DROP COLUMN torque_unit, DROP COLUMN rate_minor;
    `);
  }
}
