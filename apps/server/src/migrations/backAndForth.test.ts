import type { DataSource } from 'typeorm';
import { createDataSource, knownMigrations } from '../dataSource.ts';
import { emptyDatabase } from '../testing.ts';

jest.setTimeout(60_000);

const TABLES = `table_schema = 'public' AND table_name <> 'migrations'`;

/** Columns, indexes and constraints as the database itself tells them, a line each; in no order of columns, which coming back does not keep. */
async function shapeOf(dataSource: DataSource): Promise<readonly string[]> {
  const rows = await dataSource.query<{ line: string }[]>(`
    SELECT concat_ws(' ', table_name, column_name, data_type, is_nullable, column_default, generation_expression) AS line
      FROM information_schema.columns WHERE ${TABLES}
    UNION ALL SELECT indexdef FROM pg_indexes WHERE schemaname = 'public' AND tablename <> 'migrations'
    UNION ALL SELECT concat_ws(' ', conrelid::regclass, conname, pg_get_constraintdef(oid)) FROM pg_constraint
      WHERE connamespace = 'public'::regnamespace AND conrelid <> 'migrations'::regclass
    UNION ALL SELECT extname::text FROM pg_extension
    ORDER BY 1`);
  return rows.map(({ line }) => line);
}

test('each change of the tables goes back to what was before it, and forth again', async () => {
  const { url, drop } = await emptyDatabase();
  const states = knownMigrations();

  const upTo = async (state: string) => {
    const dataSource = await createDataSource(url, { upTo: state }).initialize();
    await dataSource.runMigrations();
    const shape = await shapeOf(dataSource);
    await dataSource.destroy();
    return shape;
  };
  const forth: (readonly string[])[] = [];
  for (const state of states) forth.push(await upTo(state));

  const now = await createDataSource(url).initialize();
  for (let left = states.length - 1; left >= 0; left--) {
    await now.undoLastMigration();
    const shape = await shapeOf(now);
    expect([left, shape]).toEqual([left, left === 0 ? ['plpgsql'] : forth[left - 1]]);
  }
  await now.runMigrations();
  expect(await shapeOf(now)).toEqual(forth.at(-1));
  await now.destroy();
  await drop();
});
