import type { KinematicLook, Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { seeText } from './seeText.ts';

const text = (family: string, look: string) => {
  const pack = findFamily(family) as Pack;
  return seeText(pack, pack.looks.find(({ id }) => id === look) as KinematicLook);
};

test.each([
  // 1 : 20 worm, 12 : 20 mesh: 33.3 turns to one of the drums, 1.85 to 20°.
  [
    'dash-odometer-motor',
    'worm-watch-drums',
    /^On a sound chain 20° show at the number drums after 1\.9 turns of the worm .*; you give it 40 turns\.$/,
  ],
  ['sector-steering', 'sector-watch-wheels', /after 20° of the toothed sector; you give it 36°\.$/],
  ['slide-rack-drive', 'both-racks', /2 mm show at the left rack after/],
])('%s, %s', (family, look, words) => expect(text(family, look)).toMatch(words));
