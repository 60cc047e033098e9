import type { z } from 'zod';
import { accessOperations } from './access/operations.ts';
import { decideOperations } from './decide/operations.ts';
import { drivelineOperations } from './driveline/operations.ts';
import { fail } from './failure/CoreFailure.ts';
import { fitOperations } from './fit/operations.ts';
import { gearOperations } from './gear/operations.ts';
import { learnOperations } from './learn/operations.ts';
import { makeOperations } from './make/operations.ts';
import { matchOperations } from './match/operations.ts';
import type { Operation } from './operation/operation.ts';
import { packOperations, type Families } from './packOperations.ts';
import { practiceOperations } from './practice/operations.ts';
import { proveOperations } from './prove/operations.ts';
import { ratioOperations } from './ratio/operations.ts';
import { scanOperations } from './scan/operations.ts';
import { setupOperations } from './setup/operations.ts';
import { strengthOperations } from './strength/operations.ts';
import { own } from './operation/own.ts';

/** Every operation by its name, with the schemas that its input and output are inferred from. */
const registryOf = (families: Families) => ({
  ...drivelineOperations,
  ...packOperations(families),
  ...accessOperations,
  ...gearOperations,
  ...fitOperations,
  ...scanOperations,
  ...ratioOperations,
  ...matchOperations,
  ...strengthOperations,
  ...decideOperations,
  ...makeOperations(families),
  ...setupOperations,
  ...proveOperations,
  ...learnOperations(families),
  ...practiceOperations(families),
});
type Registry = ReturnType<typeof registryOf>;

export type OperationName = keyof Registry;
/** What is given to an operation: fields with a default may be left out. */
export type OperationInput<N extends OperationName> = InputOf<z.input<Registry[N]['input']>>;
export type OperationOutput<N extends OperationName> = z.output<Registry[N]['output']>;

/** The same, all the way down unchanged by who takes it. */
type InputOf<T> = T extends ArrayBufferView ? T : T extends object ? { readonly [K in keyof T]: InputOf<T[K]> } : T;

export interface Operations {
  readonly list: readonly (Operation & { readonly name: OperationName })[];
  /** Runs by name. @throws CoreFailure naming the field at fault */
  readonly run: <N extends OperationName>(name: N, input: OperationInput<N>) => OperationOutput<N>;
  /** The same for who knows name and input only as data: over HTTP, from a file. @throws CoreFailure also where there is no such operation */
  readonly runNamed: (name: string, input: unknown) => unknown;
  /** What an operation is called today; a name that there never was stays as it is. */
  readonly nameNow: (name: string) => string;
}

/** Names under which operations were published before, which go on being answered. */
const FORMER_NAMES: Readonly<Record<string, OperationName>> = { 'gear.wheel.identify': 'gear.wormWheel.identify' };

/**
 * The one public door of the core. Families are data and are handed in by whoever opens it.
 * @example createOperations(families).run('gear.worm.dimensions', { starts: 1, wheelTeeth: 40, axialModuleMm: 2, diameterQuotient: 10 }).ratio // 40
 */
export function createOperations(families: Families): Operations {
  const registry = registryOf(families);
  const nameNow = (name: string): string => own(FORMER_NAMES, name) ?? name;
  const byName = new Map<string, Operation>(Object.entries(registry));
  const runNamed = (name: string, input: unknown): unknown => {
    const found = byName.get(nameNow(name));
    if (!found) throw fail('unknownId', 'op', { given: name, known: [...byName.keys()].join(', ') });
    return found.run(input);
  };
  return {
    list: (Object.keys(registry) as OperationName[]).map((name) => ({ name, ...registry[name] })),
    // The map forgets which output belongs to which name; the registry's type remembers.
    run: <N extends OperationName>(name: N, input: OperationInput<N>) => runNamed(name, input) as OperationOutput<N>,
    runNamed,
    nameNow,
  };
}
