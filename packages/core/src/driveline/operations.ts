import { operation } from '../operation/operation.ts';
import { motion } from './motion.ts';
import { motionInput, motionOutput } from './schema.ts';

export const drivelineOperations = {
  'driveline.motion': operation({
    summary: 'What turns, what stands, and how far to turn until it shows',
    input: motionInput,
    output: motionOutput,
    heavy: true,
    work: motion,
  }),
};
