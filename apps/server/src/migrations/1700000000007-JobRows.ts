import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Entries numbered in the order in which they arrived, and what a list shows of a job kept beside them.
 * What only the sums of the core can tell, the next move, is left open and worked out when it is first wanted.
 */
export class JobRows1700000000007 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE shops ADD COLUMN last_seq bigint NOT NULL DEFAULT 0;
      ALTER TABLE entries ADD COLUMN seq bigint;
      UPDATE entries e SET seq = n.seq FROM (
        SELECT id, row_number() OVER (PARTITION BY shop_id ORDER BY received_at, "at", id) AS seq FROM entries
      ) n WHERE n.id = e.id;
      ALTER TABLE entries ALTER COLUMN seq SET NOT NULL;
      UPDATE shops s SET last_seq = coalesce((SELECT max(seq) FROM entries WHERE shop_id = s.id), 0);
      DROP INDEX entries_of_job;
      CREATE UNIQUE INDEX entries_in_order ON entries (shop_id, seq);
      CREATE INDEX entries_of_job ON entries (job_id, seq);

      ALTER TABLE jobs
        ADD COLUMN complaint text NOT NULL DEFAULT '', ADD COLUMN taken_in_at timestamptz NOT NULL DEFAULT now(),
        ADD COLUMN closed_at timestamptz, ADD COLUMN found text, ADD COLUMN outcome text, ADD COLUMN seq bigint NOT NULL DEFAULT 0,
        ADD COLUMN move jsonb, ADD COLUMN move_seq bigint NOT NULL DEFAULT 0, ADD COLUMN words tsvector;
      UPDATE jobs j SET
        complaint = coalesce(t.complaint, ''), taken_in_at = coalesce(t."at", now()), seq = coalesce(t.last, 0)
      FROM (
        SELECT job_id, max(seq) AS last,
          (array_agg(payload->>'complaint' ORDER BY seq DESC) FILTER (WHERE payload->>'kind' = 'takenIn'))[1] AS complaint,
          (array_agg("at" ORDER BY seq DESC) FILTER (WHERE payload->>'kind' = 'takenIn'))[1] AS "at"
        FROM entries GROUP BY job_id
      ) t WHERE t.job_id = j.id;
      UPDATE jobs j SET closed_at = c."at", found = c.found, outcome = c.outcome FROM (
        SELECT DISTINCT ON (job_id) job_id, "at", payload->>'found' AS found, payload->>'outcome' AS outcome
        FROM entries WHERE payload->>'kind' = 'closed' ORDER BY job_id, seq DESC
      ) c WHERE c.job_id = j.id AND j.closed;
      UPDATE jobs j SET words = to_tsvector('simple', regexp_replace(concat_ws(' ', m.label, m.owner, j.complaint, j.found), '[^[:alnum:]]+', ' ', 'g'))
      FROM machines m WHERE m.id = j.machine_id;
      DROP INDEX jobs_by_bench;
      CREATE INDEX jobs_by_bench ON jobs (shop_id, closed, (coalesce(closed_at, taken_in_at)) DESC, id DESC);
      DROP INDEX jobs_of_machine;
      CREATE INDEX jobs_of_machine ON jobs (machine_id, (coalesce(closed_at, taken_in_at)) DESC, id DESC);
      CREATE INDEX jobs_by_words ON jobs USING gin (words);
      ALTER TABLE machines ADD COLUMN words tsvector
        GENERATED ALWAYS AS (to_tsvector('simple'::regconfig, regexp_replace(label || ' ' || owner || ' ' || serial, '[^[:alnum:]]+', ' ', 'g'))) STORED;
      CREATE INDEX machines_by_words ON machines USING gin (words);
      CREATE TABLE health (id int PRIMARY KEY, at timestamptz NOT NULL);
      CREATE INDEX machines_by_label ON machines (shop_id, label, id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE health; DROP INDEX machines_by_label; DROP INDEX machines_by_words; ALTER TABLE machines DROP COLUMN words;
      DROP INDEX jobs_by_words; DROP INDEX jobs_of_machine; DROP INDEX jobs_by_bench;
      ALTER TABLE jobs DROP COLUMN complaint, DROP COLUMN taken_in_at, DROP COLUMN closed_at, DROP COLUMN found, DROP COLUMN outcome,
        DROP COLUMN seq, DROP COLUMN move, DROP COLUMN move_seq, DROP COLUMN words;
      CREATE INDEX jobs_by_bench ON jobs (shop_id, closed);
      CREATE INDEX jobs_of_machine ON jobs (machine_id);
      DROP INDEX entries_in_order; DROP INDEX entries_of_job;
      ALTER TABLE entries DROP COLUMN seq;
      CREATE INDEX entries_of_job ON entries (job_id, "at");
      ALTER TABLE shops DROP COLUMN last_seq;
    `);
  }
}
