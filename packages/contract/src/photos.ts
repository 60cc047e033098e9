import { z } from 'zod';

export const PHOTO_MOST_BYTES = 10 * 1024 * 1024;
export const PHOTO_TYPES = ['image/png', 'image/jpeg'] as const;

export const photoReceipt = z
  .object({ hash: z.string(), type: z.enum(PHOTO_TYPES), bytes: z.int(), width: z.int(), height: z.int() })
  .meta({ id: 'PhotoReceipt' });
export type PhotoReceipt = z.infer<typeof photoReceipt>;
