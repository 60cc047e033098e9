import { operation } from '../operation/operation.ts';
import { backlashAtPitch, backlashInput, backlashOutput } from './backlash.ts';
import { eccentricInput, eccentricOutput, eccentricSleeve } from './eccentric.ts';
import { lubricantFor, lubricantInput, lubricantOutput } from './lubricant.ts';
import { rimPlay, rimPlayInput, rimPlayOutput } from './rimPlay.ts';
import { shimsInput, shimsOutput, shimStack } from './shims.ts';
import { sidesInTime, timingInput, timingOutput } from './timing.ts';
import { torqueInput, torqueInUnits, torqueOutput } from './torque.ts';

export const setupOperations = {
  'setup.rimPlay': operation({
    summary: 'Play at the rim through the reduction: what the mesh has and what the joints',
    input: rimPlayInput,
    output: rimPlayOutput,
    work: rimPlay,
  }),
  'setup.lubricant': operation({
    summary: 'Oil or grease by what runs on what, and what must never go in',
    input: lubricantInput,
    output: lubricantOutput,
    work: lubricantFor,
  }),
  'setup.backlash': operation({
    summary: 'Backlash at the pitch circle from a reading at any radius',
    input: backlashInput,
    output: backlashOutput,
    work: backlashAtPitch,
  }),
  'setup.eccentric': operation({
    summary: 'An eccentric sleeve set by trials',
    input: eccentricInput,
    output: eccentricOutput,
    work: eccentricSleeve,
  }),
  'setup.shims': operation({ summary: 'Shims at hand for a float', input: shimsInput, output: shimsOutput, heavy: true, work: shimStack }),
  'setup.timing': operation({ summary: 'Two sides brought into step', input: timingInput, output: timingOutput, work: sidesInTime }),
  'setup.torque': operation({
    summary: 'A torque in every unit, and a cap for soft threads',
    input: torqueInput,
    output: torqueOutput,
    work: torqueInUnits,
  }),
};
