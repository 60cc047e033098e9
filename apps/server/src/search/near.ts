import { FOUND_OF_EACH } from '@patient-badger/contract';
import type { DataSource } from 'typeorm';

/** The share of the typed word's runs of three letters that a text has, from which it may have been meant (bench judgement). */
const LEAST = 0.35;

/** Where each kind of thing is sought when nothing begins with the words. */
const WHERE = {
  machines: "SELECT id, lower(label || ' ' || owner || ' ' || serial) AS text FROM machines WHERE shop_id = $1",
  parts: "SELECT id, lower(part_number || ' ' || name) AS text FROM parts WHERE shop_id = $1",
  models: "SELECT id, lower(maker || ' ' || code) AS text FROM machine_models WHERE shop_id = $1",
  jobs: "SELECT j.id, lower(m.label || ' ' || m.owner || ' ' || j.complaint) AS text FROM jobs j JOIN machines m ON m.id = j.machine_id WHERE j.shop_id = $1",
} as const;

/** Ids of what comes near to words that were typed a little wrong, nearest first. */
export async function nearest(
  dataSource: DataSource,
  what: keyof typeof WHERE,
  asked: { shopId: string; words: string },
): Promise<readonly string[]> {
  const rows = await dataSource.transaction(async (manager) => {
    // The index goes by this setting; for this question only.
    await manager.query("SELECT set_config('pg_trgm.word_similarity_threshold', $1, true)", [String(LEAST)]);
    return manager.query<{ id: string }[]>(
      `SELECT id FROM (${WHERE[what]}) each WHERE $2 <% text ORDER BY word_similarity($2, text) DESC, id LIMIT $3`,
      [asked.shopId, asked.words.toLowerCase(), FOUND_OF_EACH],
    );
  });
  return rows.map(({ id }) => id);
}
