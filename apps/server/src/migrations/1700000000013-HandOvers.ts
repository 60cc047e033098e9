import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * A device is held by one person at a time, since their own PIN; wrong tries are counted where they come from; a check
 * is signed by PIN; who held the device stands with the entry; what a job was at its take-in stays with it.
 */
export class HandOvers1700000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      UPDATE sessions s SET active_id = person_id WHERE NOT EXISTS (SELECT 1 FROM session_people sp
        WHERE sp.session_id = s.id AND sp.person_id = s.active_id AND sp.proven);
      ALTER TABLE sessions ALTER COLUMN active_id DROP NOT NULL;
      DROP TABLE session_people;
      ALTER TABLE people DROP COLUMN failed, DROP COLUMN locked_until, ADD COLUMN vouched_since timestamptz NOT NULL DEFAULT 'epoch';
      CREATE TABLE sign_in_tries (
        name text NOT NULL, source text NOT NULL, failed int NOT NULL DEFAULT 0, last_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (name, source)
      );
      CREATE INDEX sign_in_tries_by_age ON sign_in_tries (last_at);
      CREATE TABLE own_devices (
        token bytea NOT NULL, person_id text NOT NULL REFERENCES people, failed int NOT NULL DEFAULT 0,
        last_at timestamptz NOT NULL DEFAULT now(), PRIMARY KEY (token, person_id)
      );
      CREATE TABLE pin_tries (
        id bigserial PRIMARY KEY, person_id text NOT NULL REFERENCES people, signer_id text NOT NULL REFERENCES people,
        "at" timestamptz NOT NULL DEFAULT now(), settled boolean NOT NULL DEFAULT false
      );
      CREATE INDEX pin_tries_of_person ON pin_tries (person_id, "at");
      CREATE TABLE signatures (
        entry_id uuid NOT NULL, person_id text NOT NULL REFERENCES people, shop_id text NOT NULL REFERENCES shops,
        "at" timestamptz NOT NULL DEFAULT now(), PRIMARY KEY (entry_id, person_id)
      );
      ALTER TABLE entries ADD COLUMN held_by text REFERENCES people, ADD COLUMN device text;
      CREATE INDEX entries_of_photo ON entries ((payload->>'hash')) WHERE payload->>'kind' = 'photoTaken';
      ALTER TABLE jobs ADD COLUMN safety_critical boolean NOT NULL DEFAULT false;
      UPDATE jobs j SET safety_critical = true WHERE family IN ('park-brake-actuator', 'sector-steering', 'worm-steering-box')
        OR EXISTS (SELECT 1 FROM families f WHERE f.shop_id = j.shop_id AND f.id = j.family AND (f.pack->>'safetyCritical')::boolean);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE jobs DROP COLUMN safety_critical;
      DROP INDEX entries_of_photo;
      ALTER TABLE entries DROP COLUMN held_by, DROP COLUMN device;
      DROP TABLE signatures, pin_tries, own_devices, sign_in_tries;
      ALTER TABLE people DROP COLUMN vouched_since, ADD COLUMN failed int NOT NULL DEFAULT 0, ADD COLUMN locked_until timestamptz;
      UPDATE sessions SET active_id = person_id WHERE active_id IS NULL;
      ALTER TABLE sessions ALTER COLUMN active_id SET NOT NULL;
      CREATE TABLE session_people (
        session_id uuid NOT NULL REFERENCES sessions ON DELETE CASCADE, person_id text NOT NULL REFERENCES people,
        failed int NOT NULL DEFAULT 0, proven boolean NOT NULL DEFAULT false, PRIMARY KEY (session_id, person_id)
      );
      INSERT INTO session_people (session_id, person_id, proven) SELECT id, active_id, true FROM sessions;
    `);
  }
}
