import type { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { failureFromZod } from '../failure/fromZod.ts';

/** One thing the core works out: checked on the way in and on the way out. */
export interface Operation<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  readonly input: I;
  readonly output: O;
  /** May take longer than anybody who shares its thread should wait: tens of milliseconds and more. */
  readonly heavy: boolean;
  /** @throws CoreFailure with the path of the field at fault; never NaN, never an empty answer */
  readonly run: (input: unknown) => z.output<O>;
}

interface Definition<I extends z.ZodType, O extends z.ZodType> {
  readonly input: I;
  readonly output: O;
  readonly heavy?: boolean;
  readonly work: (input: z.output<I>) => z.input<O>;
}

/** An operation out of its schemas and the algorithm, which trusts what it gets. */
export const operation = <I extends z.ZodType, O extends z.ZodType>({
  input,
  output,
  heavy = false,
  work,
}: Definition<I, O>): Operation<I, O> => ({
  input,
  output,
  heavy,
  run: (raw) => {
    const given = input.safeParse(raw);
    if (!given.success) throw failureFromZod(given.error, raw);
    // The output schema refuses NaN and Infinity: a sum that ran out of numbers is refused, not answered.
    const answer = output.safeParse(work(given.data));
    if (!answer.success) throw fail('noAnswer', '', { field: answer.error.issues[0]?.path.join('.') ?? '' });
    return answer.data;
  },
});
