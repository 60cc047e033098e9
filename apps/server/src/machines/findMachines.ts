import { FAMILIES } from '@patient-badger/knowledge';
import type { DataSource } from 'typeorm';
import { beginningsQuery, wordsOf } from '../words.ts';
import { machines, type MachineRow } from './entities.ts';

interface MachineQuery {
  readonly words: string;
  readonly family?: string | undefined;
  readonly retired: 'yes' | 'no';
  readonly most: number;
}

/** Machines in which each word begins one of name, owner, plate or model, or stands in the name of their kind. */
export async function findMachines(
  dataSource: DataSource,
  shopId: string,
  { words, family, retired, most }: MachineQuery,
): Promise<MachineRow[]> {
  const find = dataSource.getRepository(machines).createQueryBuilder('m').where('m.shopId = :shopId', { shopId });
  if (retired === 'no') find.andWhere('m.retired_at IS NULL');
  if (family) find.andWhere('m.family = :family', { family });
  wordsOf(words).forEach((word, i) => {
    const kinds = FAMILIES.filter(({ name }) => name.toLowerCase().includes(word.toLowerCase())).map(({ id }) => id);
    find.andWhere(
      `(m.words @@ to_tsquery('simple', :begins${i}) OR m.family = ANY(:kinds${i}) OR m.model_id IN
          (SELECT id FROM machine_models WHERE shop_id = :shopId AND strpos(lower(maker || ' ' || code), :word${i}) > 0))`,
      { [`begins${i}`]: beginningsQuery([word]), [`kinds${i}`]: kinds, [`word${i}`]: word.toLowerCase() },
    );
  });
  return find.orderBy('m.label').addOrderBy('m.id').limit(most).getMany();
}
