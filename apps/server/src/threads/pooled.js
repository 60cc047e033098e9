import { createRequire } from 'node:module';
import { Script } from 'node:vm';
import { workerData } from 'piscina';

// The packed script is compiled as a module of its own, with the packages that ship with Node and no others.
const module = { exports: {} };
const run = new Script(`(function (module, exports, require) {${workerData.code}\n})`).runInThisContext();
run(module, module.exports, createRequire(import.meta.url));

/** Tells when it begins: until then it waited for its turn, or for this thread. */
export default async function ({ input, begun }) {
  begun.postMessage('begun');
  return module.exports.work(input);
}
