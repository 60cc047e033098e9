import { t } from '@patient-badger/wording/shared';
import { CANNOT_TELL, packModel, type Pack } from '@patient-badger/core';

export function resultName(pack: Pack, lookId: string, result: string): string {
  if (result === CANNOT_TELL) return t.couldNotTell;
  return (
    packModel(pack)
      .outcomes.get(lookId)
      ?.find((each) => each.result === result)?.name ?? result
  );
}
