import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { outbox } from '../data/outbox.ts';

/** The name a photo is kept under: also without a secure connection, where the browser's own hashing is shut off. */
export const hashOf = async (blob: Blob): Promise<string> => bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));

/** A photo's file: from this device while it waits to be sent, else from the server. @throws Error in words */
export async function photoFile(hash: string): Promise<Blob> {
  for (const item of outbox.get()) if (item.kind === 'photo' && (await hashOf(item.blob)) === hash) return item.blob;
  const answer = await fetch(`/api/photos/${hash}`).catch(() => null);
  if (!answer?.ok) throw new Error('The photo is not on this device and the server cannot be reached.');
  return answer.blob();
}
