import { t } from '@patient-badger/wording/scan';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { outbox } from '../data/outbox.ts';

/** The name a photo is kept under. Without a secure connection the browser's own hashing, off the main thread, is shut off. */
export async function hashOf(blob: Blob): Promise<string> {
  const bytes = await blob.arrayBuffer();
  const subtle = (globalThis.crypto as Partial<Crypto> | undefined)?.subtle;
  return bytesToHex(subtle ? new Uint8Array(await subtle.digest('SHA-256', bytes)) : sha256(new Uint8Array(bytes)));
}

/** A photo's file: from this device while it waits to be sent, else from the server. @throws Error in words */
export async function photoFile(hash: string): Promise<Blob> {
  for (const item of outbox.get()) if (item.kind === 'photo' && (await hashOf(item.blob)) === hash) return item.blob;
  const answer = await fetch(`/api/photos/${hash}`).catch(() => null);
  if (!answer?.ok) throw new Error(t.thePhotoIsNotOn);
  return answer.blob();
}
