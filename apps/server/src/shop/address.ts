import { networkInterfaces } from 'node:os';
import type { Config } from '../config.ts';

const LOOPBACK = /^(localhost|127\.|\[?::1\]?$)/;

/**
 * The address that a phone on the shop's network opens: the one that was set, or the computer's first one on
 * a network where the server listens on all; null where it answers on its own computer only.
 */
export function phoneAddress({ HOST, PUBLIC_ADDRESS, TLS_CERT_FILE }: Config, port: number): string | null {
  if (PUBLIC_ADDRESS !== undefined) return PUBLIC_ADDRESS;
  if (LOOPBACK.test(HOST)) return null;
  const everywhere = HOST === '0.0.0.0' || HOST === '::';
  const host = everywhere ? ownAddress() : HOST;
  return host && `${TLS_CERT_FILE ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;
}

const ownAddress = (): string | null =>
  Object.values(networkInterfaces())
    .flat()
    .find((each) => each && !each.internal && each.family === 'IPv4')?.address ?? null;
