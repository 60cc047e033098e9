import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { kindFor } from './kinds.ts';

const cardOf = (family: string, gear: string) => {
  const pack = findFamily(family) as Pack;
  const card = pack.gears.find(({ id }) => id === gear);
  return card && (kindFor(pack, card)?.view.id ?? null);
};

test.each([
  ['saw-oil-pump', 'worm', 'worm'],
  ['slide-rack-drive', 'rpinion', 'cylindrical'],
  ['trimmer-bevel-head', 'gear', 'bevel'],
  ['sector-steering', 'sector', 'sector'],
  ['worm-steering-box', 'sector', 'wormSector'],
  ['slide-rack-drive', 'lrack', 'rack'],
  ['saw-chain-tensioner', 'spindle', 'screw'],
])('%s, %s is measured on: %s', (family, gear, kind) => expect(cardOf(family, gear)).toBe(kind));
