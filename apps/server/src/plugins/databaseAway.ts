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
]);

/** The database refused, vanished or shut down: worth saying so, and worth trying again. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const cause = error instanceof QueryFailedError ? (error.driverError as Error & { code?: string }) : (error as Error & { code?: string });
  return (
    AWAY.has(cause.code ?? '') ||
    /Connection terminated|timeout exceeded when trying to connect|connect ECONNREFUSED|Driver not Connected/i.test(cause.message)
  );
}

/** Read-only, or no room left on its disk (PostgreSQL, appendix A: 25006, 53100). */
export function isRecordReadOnly(error: unknown): boolean {
  const { code } = (error instanceof QueryFailedError ? error.driverError : error) as { code?: string };
  return code === '25006' || code === '53100';
}

/** The database took the statement and refused what was in it: classes 22 (data) and 23 (constraint). */
export function isRefusedByColumn(error: unknown): boolean {
  const { code } = (error instanceof QueryFailedError ? error.driverError : error) as { code?: string };
  return /^2[23]...$/.test(code ?? '');
}
