import type { SettingTarget } from '@patient-badger/core';
import type { JobView } from '../job/JobView.ts';

/** What a desk of setting up is given: the job, the family's own row that it answers, and where what was set is written. */
export interface DeskProps {
  readonly view: JobView;
  readonly row?: SettingTarget | undefined;
  readonly onSet: (figures: string, source?: string) => void;
}

/** What tests call a figure of these desks. */
export const setupField = (name: string): string => `setup-${name}`;

/** Under which name what was typed is kept: two rows of one desk are two sets of figures. */
export const draftOf = (desk: string, row: SettingTarget | undefined): string => (row ? `${desk}-${row.id}` : desk);

/** The limits that the family gives, as they would be typed. */
export const limitsOf = (row: SettingTarget | undefined): { least?: string; most?: string; source?: string } => ({
  ...(row?.wanted?.min !== undefined && { least: String(row.wanted.min) }),
  ...(row?.wanted?.max !== undefined && { most: String(row.wanted.max) }),
  ...(row?.wanted && { source: row.wanted.source }),
});
