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
    input: rimPlayInput,
    output: rimPlayOutput,
    work: rimPlay,
  }),
  'setup.lubricant': operation({
    input: lubricantInput,
    output: lubricantOutput,
    work: lubricantFor,
  }),
  'setup.backlash': operation({
    input: backlashInput,
    output: backlashOutput,
    work: backlashAtPitch,
  }),
  'setup.eccentric': operation({
    input: eccentricInput,
    output: eccentricOutput,
    work: eccentricSleeve,
  }),
  'setup.shims': operation({ input: shimsInput, output: shimsOutput, heavy: true, work: shimStack }),
  'setup.timing': operation({ input: timingInput, output: timingOutput, work: sidesInTime }),
  'setup.torque': operation({
    input: torqueInput,
    output: torqueOutput,
    work: torqueInUnits,
  }),
};
