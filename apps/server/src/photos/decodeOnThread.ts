import { parentPort, workerData } from 'node:worker_threads';
import { readPhoto } from './read.ts';

// Decoding twelve megapixels takes a second or more: not on the thread that answers everybody.
const { bytes } = workerData as { bytes: Uint8Array };
try {
  parentPort?.postMessage({ ok: true, photo: readPhoto(Buffer.from(bytes)) });
} catch (error) {
  parentPort?.postMessage({ ok: false, code: (error as { code?: string }).code ?? 'photoBroken' });
}
