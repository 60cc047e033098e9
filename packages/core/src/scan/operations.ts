import { operation } from '../operation/operation.ts';
import { scanSector } from './scanSector.ts';
import { scanTeeth } from './scanTeeth.ts';
import { scanInput, scanOutput } from './schema.ts';
import { sectorScanInput, sectorScanOutput } from './sectorSchema.ts';
import { scanWorm } from './scanWorm.ts';
import { wormScanInput, wormScanOutput } from './wormSchema.ts';

export const scanOperations = {
  'scan.teeth': operation({
    input: scanInput,
    output: scanOutput,
    heavy: true,
    work: (input) => scanTeeth(input),
  }),
  'scan.sector': operation({
    input: sectorScanInput,
    output: sectorScanOutput,
    heavy: true,
    work: (input) => scanSector(input),
  }),
  'scan.worm': operation({
    input: wormScanInput,
    output: wormScanOutput,
    heavy: true,
    work: (input) => scanWorm(input),
  }),
};
