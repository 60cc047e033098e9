import type { MeasuredKindId } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { ComponentType } from 'react';
import type { JobView } from '../job/JobView.ts';
import type { KindWords } from './QuantityWords.ts';

/** What the screens know of one kind of gear; the core's half has the same id. */
export interface GearKindView {
  readonly id: MeasuredKindId;
  readonly words: KindWords;
  readonly Card: ComponentType<{ readonly view: JobView; readonly card: GearCard }>;
}
