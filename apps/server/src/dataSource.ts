import { DataSource } from 'typeorm';
import { ENTITIES } from './entities.ts';
import { FirstTables1700000000001 } from './migrations/1700000000001-FirstTables.ts';
import { Families1700000000002 } from './migrations/1700000000002-Families.ts';
import { PartWords1700000000004 } from './migrations/1700000000004-PartWords.ts';
import { SellersAndShelf1700000000005 } from './migrations/1700000000005-SellersAndShelf.ts';
import { SizesByPitch1700000000006 } from './migrations/1700000000006-SizesByPitch.ts';
import { PartSearch1700000000003 } from './migrations/1700000000003-PartSearch.ts';

/** A connection pool to the shop's database. Tables change by migration only. */
export const createDataSource = (url: string): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: [
      FirstTables1700000000001,
      Families1700000000002,
      PartSearch1700000000003,
      PartWords1700000000004,
      SellersAndShelf1700000000005,
      SizesByPitch1700000000006,
    ],
    synchronize: false,
    installExtensions: false,
    connectTimeoutMS: 4000,
    extra: { max: 10 },
  });
