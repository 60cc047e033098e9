import { QueryFailedError } from 'typeorm';

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '08001',
  '08003',
  '53300',
  '55000',
  // Ended by the database in favour of another, or for having stood still: the same again goes through (class 40, 25P03).
  '40001',
  '40P01',
  '25P03',
]);

/** What the database itself said, or the way to it. */
const causeOf = (error: unknown) => (error instanceof QueryFailedError ? error.driverError : error) as { code?: string; message?: string };

/** The database refused, vanished or shut down: worth saying so, and worth trying again. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code = '', message = '' } = causeOf(error);
  return (
    AWAY.has(code) ||
    /Connection terminated|timeout exceeded when trying to connect|connect ECONNREFUSED|Driver not Connected/i.test(message)
  );
}

/** Read-only, or no room left on its disk (PostgreSQL, appendix A: 25006, 53100). */
export const isRecordReadOnly = (error: unknown): boolean => ['25006', '53100'].includes(causeOf(error).code ?? '');

/** No room left on the disk of the database. */
export const isDiskFull = (error: unknown): boolean => causeOf(error).code === '53100';

/** The database took the statement and refused what was in it: classes 22 (data) and 23 (constraint). */
export const isRefusedByColumn = (error: unknown): boolean => /^2[23]...$/.test(causeOf(error).code ?? '');
