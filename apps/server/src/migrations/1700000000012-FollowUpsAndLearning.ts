import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is to be looked at again, what a finished job leaves to learn from, and whether the shop's own verdicts move the priors. */
export class FollowUpsAndLearning1700000000012 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE jobs ADD COLUMN follow_up jsonb, ADD COLUMN follow_up_on date, ADD COLUMN summary jsonb;
      CREATE INDEX jobs_followed_up ON jobs (shop_id, follow_up_on, id) WHERE follow_up_on IS NOT NULL;
      ALTER TABLE shops ADD COLUMN own_priors boolean NOT NULL DEFAULT true`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE shops DROP COLUMN own_priors;
      DROP INDEX jobs_followed_up;
      ALTER TABLE jobs DROP COLUMN follow_up, DROP COLUMN follow_up_on, DROP COLUMN summary`);
  }
}
