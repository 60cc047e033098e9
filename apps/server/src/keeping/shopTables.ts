export interface ShopTable {
  readonly name: string;
  /** Which rows are the shop's, with `$1` for its id and `t` for the table. */
  readonly ofShop: string;
  readonly order: string;
  /** Columns that stay behind: secrets, and what is kept in a file of its own. */
  readonly without: readonly string[];
}

const plain = (name: string, order = 'id', without: readonly string[] = []): ShopTable => ({
  name,
  ofShop: 't.shop_id = $1',
  order,
  without,
});
const OF_PART = 'EXISTS (SELECT 1 FROM parts p WHERE p.id = t.part_id AND p.shop_id = $1)';

/** The tables of a shop in the order in which they need one another. Sessions belong to devices and are not among them. */
export const SHOP_TABLES: readonly ShopTable[] = [
  { name: 'shops', ofShop: 't.id = $1', order: 'id', without: [] },
  plain('people', 'id', ['passphrase', 'pin', 'failed', 'locked_until']),
  plain('machine_models'),
  plain('machines'),
  plain('families'),
  plain('jobs'),
  plain('entries', 'seq'),
  plain('signatures', 'entry_id, person_id'),
  plain('photos', 'hash', ['bytes', 'preview']),
  plain('parts'),
  { name: 'listings', ofShop: OF_PART, order: 'part_id, supplier', without: [] },
  { name: 'part_links', ofShop: OF_PART, order: 'part_id, kind, to_number', without: [] },
  plain('shelf'),
  plain('meter_readings'),
  plain('book_lines', 'model_id, key, source'),
  plain('imports'),
  plain('audit'),
];

/** Tables that are no part of a shop's record: what they hold is of this database, or of its devices. */
export const NOT_OF_A_SHOP = ['migrations', 'health', 'sessions', 'sign_in_tries', 'own_devices', 'pin_tries'];

/** The columns that are written out: all that a row needs to be the same again, but none that the database works out itself. */
export async function keptColumns(
  runner: { query: (text: string, values: unknown[]) => Promise<unknown> },
  table: string,
  without: readonly string[],
): Promise<readonly string[]> {
  const rows = (await runner.query(
    `SELECT column_name AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND table_name = $1 AND is_generated = 'NEVER' ORDER BY ordinal_position`,
    [table],
  )) as { name: string }[];
  return rows
    .map(({ name }) => name)
    .filter((name) => !without.includes(name))
    .map((name) => `"${name}"`);
}
