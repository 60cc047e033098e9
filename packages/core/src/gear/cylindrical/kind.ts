import { operation } from '../../operation/operation.ts';
import { arcsInput, arcsOutput, freshArcs } from '../arcs.ts';
import { sizeKey } from '../candidateKey.ts';
import type { GearKind } from '../GearKind.ts';
import { cylindricalDimensions, cylindricalOutput } from './dimensions.ts';
import { identifyCylindrical } from './identify.ts';
import { identifyInput, identifyOutput, type Candidate } from './identifySchema.ts';
import { meshInput, meshOutput, meshPair } from './mesh.ts';
import { CYLINDRICAL_QUANTITIES } from './quantities.ts';
import { cylindricalQuestion } from './question.ts';
import { cylindricalInput } from './schema.ts';
import { wantedCylindrical } from './wanted.ts';
import { gearWear, wearInput, wearOutput } from './wear.ts';

/** @example 'module-1-25-20-0' */
export const cylindricalKey = (candidate: Candidate): string =>
  `${sizeKey(candidate)}-${candidate.teeth}-${candidate.pressureAngleDeg}-${Math.round(candidate.helixAngleDeg)}`;

/** Spur and helical gears, whole or broken. */
export const cylindrical = {
  id: 'cylindrical',
  types: ['spur', 'helical'],
  quantities: CYLINDRICAL_QUANTITIES,
  operations: {
    'gear.cylindrical.dimensions': operation({
      input: cylindricalInput,
      output: cylindricalOutput,
      work: cylindricalDimensions,
    }),
    'gear.cylindrical.identify': operation({
      input: identifyInput,
      output: identifyOutput,
      heavy: true,
      work: identifyCylindrical,
    }),
    'gear.pair.mesh': operation({
      input: meshInput,
      output: meshOutput,
      work: meshPair,
    }),
    'gear.wear': operation({ input: wearInput, output: wearOutput, work: gearWear }),
    'gear.arcs': operation({
      input: arcsInput,
      output: arcsOutput,
      work: freshArcs,
    }),
  },
  identification: {
    operation: 'gear.cylindrical.identify',
    question: cylindricalQuestion,
    key: cylindricalKey,
    wanted: wantedCylindrical,
  },
} as const satisfies GearKind<Candidate>;
