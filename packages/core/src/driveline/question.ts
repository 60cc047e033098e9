import { type Driveline, type FaultMode } from './schema.ts';

export interface Question {
  readonly driveline: Driveline;
  /** Motion put in, in turns (rotor) or mm (slider). */
  readonly drive: ReadonlyMap<string, number>;
  readonly held: readonly string[];
  readonly faults: readonly { readonly joint: string; readonly mode: FaultMode }[];
  readonly underLoad: boolean;
}
