import { createRequire } from 'node:module';
import { Script } from 'node:vm';

/** What a packed script exports: it is compiled as a module of its own, with the packages that lie beside the server. */
export function exportsOf(code) {
  const module = { exports: {} };
  const run = new Script(`(function (module, exports, require) {${code}\n})`).runInThisContext();
  run(module, module.exports, createRequire(import.meta.url));
  return module.exports;
}
