import { fail } from '../failure/CoreFailure.ts';
import type { Picture } from './picture.ts';

/** The picture, once it is as large as it says. @throws CoreFailure where it is not */
export function pixelsOf<Given extends Picture>(input: Given): Given {
  const { width, height, rgba } = input;
  if (rgba.length !== width * height * 4) {
    throw fail('contradiction', 'rgba', { reason: 'pixelsMissing', width, height, given: rgba.length });
  }
  return input;
}
