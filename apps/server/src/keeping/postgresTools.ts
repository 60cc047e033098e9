import { spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Where Debian puts the programs of PostgreSQL, each version beside the other. */
const DEBIAN = '/usr/lib/postgresql';

/** The newest program of that name on this machine: it reads every database that is not newer than itself. */
export function postgresTool(name: 'pg_dump' | 'pg_restore'): string {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN).sort((p, q) => Number(q) - Number(p)) : [];
  const found = versions.map((each) => join(DEBIAN, each, 'bin', name)).find((file) => existsSync(file));
  return found ?? name;
}

/** Its output as it comes, and a promise that tells how it ended. @throws Error with what it said */
export function runTool(name: 'pg_dump' | 'pg_restore', url: string, args: readonly string[]) {
  const { password, ...rest } = connectionOf(url);
  // The password stands in no list of processes.
  const child = spawn(postgresTool(name), args, { env: { ...process.env, ...rest, ...(password && { PGPASSWORD: password }) } });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const ended = new Promise<void>((resolve, reject) => {
    child.once('error', (error) => reject(new Error(`${name} would not start: ${error.message}`)));
    child.once('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`${name} ended with ${code}: ${said.trim().slice(0, 2000)}`)),
    );
  });
  return { input: child.stdin, output: child.stdout, ended };
}

function connectionOf(url: string) {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    PGHOST: decodeURIComponent(hostname),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    password: decodeURIComponent(password),
  };
}
