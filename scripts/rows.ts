import { openDataSource } from '../apps/server/src/dataSource.ts';
import { rebuildRows } from '../apps/server/src/jobs/rows.ts';

// npm run rows: makes what lists show of each job anew from its entries. DATABASE_URL says where.
const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL is missing: say whose rows.');
const dataSource = await openDataSource(url);
console.log(`${await rebuildRows(dataSource)} rows made anew`);
await dataSource.destroy();
