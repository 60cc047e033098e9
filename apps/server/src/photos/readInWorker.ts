import { Worker } from 'node:worker_threads';
import { PROBLEMS, ServerProblem, type ProblemCode } from '../problems.ts';
import type { ReadPhoto } from './read.ts';

const PATIENCE_MS = 20_000;

type Reply = { readonly ok: true; readonly photo: ReadPhoto } | { readonly ok: false; readonly code: string };

/** Reads a photo on a thread of its own. @throws ServerProblem as `readPhoto` does, or where it takes too long */
export function readInWorker(bytes: Buffer): Promise<ReadPhoto> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./decode.worker.js', import.meta.url), { workerData: { bytes } });
    const refuse = (code: ProblemCode) => {
      clearTimeout(patience);
      void worker.terminate();
      reject(new ServerProblem(code));
    };
    const patience = setTimeout(() => refuse('photoBroken'), PATIENCE_MS);
    worker.once('error', () => refuse('photoBroken'));
    worker.once('message', (reply: Reply) => {
      clearTimeout(patience);
      if (reply.ok) resolve({ ...reply.photo, preview: Buffer.from(reply.photo.preview) });
      else refuse(reply.code in PROBLEMS ? (reply.code as ProblemCode) : 'photoBroken');
    });
  });
}
