import { fail } from '../failure/CoreFailure.ts';
import { operation } from '../operation/operation.ts';
import { familyIn, type Families } from '../packOperations.ts';
import { fileInput, fileOutput, gearFile } from './file.ts';
import { makePair, pairInput, pairOutput } from './pair.ts';
import { gearOutlineToMake, NO_FAMILY, outlineInput, outlineOutput } from './outline.ts';

/** A gear to be made. A family in which somebody can be hurt is refused here, so that no door leads round it. */
export function makeOperations(families: Families) {
  const refuseToMake = (family: string): void => {
    if (family === NO_FAMILY) return;
    const pack = familyIn(families)(family);
    if (pack.safetyCritical) throw fail('invalid', 'family', { reason: 'safetyCriticalNotMade', name: pack.name });
  };
  return {
    'make.outline': operation({
      input: outlineInput,
      output: outlineOutput,
      heavy: true,
      work: (input) => {
        refuseToMake(input.family);
        return gearOutlineToMake(input);
      },
    }),
    'make.file': operation({
      input: fileInput,
      output: fileOutput,
      heavy: true,
      work: (input) => {
        refuseToMake(input.family);
        return gearFile(input);
      },
    }),
    'make.pair': operation({
      input: pairInput,
      output: pairOutput,
      heavy: true,
      work: (input) => {
        refuseToMake(input.family);
        return makePair(input);
      },
    }),
  };
}
