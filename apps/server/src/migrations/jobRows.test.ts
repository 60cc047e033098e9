import { randomUUID } from 'node:crypto';
import { createDataSource } from '../dataSource.ts';
import { emptyDatabase } from '../testing.ts';

jest.setTimeout(30_000);

const [MACHINE, OPEN, CLOSED] = [randomUUID(), randomUUID(), randomUUID()];

/** A shop as version 6 of the tables kept it. */
const BEFORE = `
  INSERT INTO shops (id, name, currency) VALUES ('s', 'Shed', 'EUR');
  INSERT INTO people (id, shop_id, name, role) VALUES ('p', 's', 'P', 'all');
  INSERT INTO machines (id, shop_id, family, label, serial, owner, facts) VALUES ('${MACHINE}', 's', 'saw-oil-pump', 'Long saw', 'X-77', 'Orchard', '{}');
  INSERT INTO jobs (id, shop_id, machine_id, family, closed) VALUES ('${OPEN}', 's', '${MACHINE}', 'saw-oil-pump', false), ('${CLOSED}', 's', '${MACHINE}', 'saw-oil-pump', true);
  INSERT INTO entries (id, shop_id, job_id, "at", "by", payload, received_at) VALUES
    (gen_random_uuid(), 's', '${CLOSED}', '2026-01-01T10:00Z', 'p', '{"kind":"takenIn","complaint":"runs dry"}', '2026-01-01T10:00Z'),
    (gen_random_uuid(), 's', '${OPEN}', '2026-02-01T10:00Z', 'p', '{"kind":"takenIn","complaint":"leaks"}', '2026-02-01T10:00Z'),
    (gen_random_uuid(), 's', '${CLOSED}', '2026-01-03T10:00Z', 'p', '{"kind":"closed","outcome":"cleaned","found":"chips"}', '2026-03-01T10:00Z')`;

test('a record of before gets its numbers in the order of arrival and its rows from its entries, and can go back', async () => {
  const { url, drop } = await emptyDatabase();
  const all = Object.values(createDataSource(url).options.migrations ?? []);
  const old = createDataSource(url).setOptions({ migrations: all.slice(0, 6) });
  await old.initialize();
  await old.runMigrations();
  await old.query(BEFORE);
  await old.destroy();

  const now = await createDataSource(url).initialize();
  await now.runMigrations();
  const rows = await now.query<object[]>(
    `SELECT id, complaint, closed, found, outcome, seq::int, move, words @@ to_tsquery('simple', 'orch:* & long') AS sought,
       taken_in_at AS "takenInAt", closed_at AS "closedAt" FROM jobs ORDER BY taken_in_at`,
  );
  expect(rows).toEqual([
    {
      id: CLOSED,
      complaint: 'runs dry',
      closed: true,
      found: 'chips',
      outcome: 'cleaned',
      seq: 3,
      move: null,
      sought: true,
      takenInAt: new Date('2026-01-01T10:00Z'),
      closedAt: new Date('2026-01-03T10:00Z'),
    },
    {
      id: OPEN,
      complaint: 'leaks',
      closed: false,
      found: null,
      outcome: null,
      seq: 2,
      move: null,
      sought: true,
      takenInAt: new Date('2026-02-01T10:00Z'),
      closedAt: null,
    },
  ]);
  expect(await now.query('SELECT last_seq::int AS last FROM shops')).toEqual([{ last: 3 }]);
  await now.undoLastMigration();
  expect(await now.query('SELECT count(*)::int AS n FROM entries')).toEqual([{ n: 3 }]);
  await now.destroy();
  await drop();
});
