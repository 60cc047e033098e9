import { t } from '@patient-badger/wording/learning';
import type { Learnt } from '@patient-badger/contract';
import Papa from 'papaparse';

/** Lives, come-backs and verdicts as one table: what kind of row it is stands first. Cells that a spreadsheet would reckon are made plain. */
export function csvOf({ lives, comesBack, verdicts }: Learnt): string {
  const rows = [
    ...lives.map(({ family, gear, partNumber, unit, life }) => ({
      row: 'life',
      family,
      what: gear,
      of: partNumber ?? 'all',
      times: life.failures,
      running: life.running,
      unit,
      mean: life.mean,
      low: life.meanInterval?.low,
      high: life.meanInterval?.high,
      shape: life.shape,
    })),
    ...comesBack.map(({ kind, family, what, name, times, among, costMinor }) => ({
      row: t.back(kind),
      family,
      what,
      of: name,
      times,
      among,
      cost: costMinor / 100,
    })),
    ...verdicts.flatMap(({ family, jobs, faults }) =>
      faults.map(({ fault, count }) => ({ row: 'verdict', family, what: fault, times: count, among: jobs })),
    ),
  ];
  const columns = ['row', 'family', 'what', 'of', 'times', 'among', 'running', 'unit', 'mean', 'low', 'high', 'shape', 'cost'];
  return Papa.unparse(rows, { columns, escapeFormulae: true, newline: '\r\n' });
}
