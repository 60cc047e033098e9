import { operation } from '../operation/operation.ts';
import { motion } from './motion.ts';
import { motionInput, motionOutput } from './schema.ts';

export const drivelineOperations = {
  'driveline.motion': operation({
    input: motionInput,
    output: motionOutput,
    heavy: true,
    work: motion,
  }),
};
