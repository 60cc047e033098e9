import type { Scan, SectorScan, WormScan } from '@patient-badger/core/gear';
import { catalogue } from '../catalogue.ts';

type WormScanRefusal = Extract<WormScan, { read: false }>['reason'];
type SectorScanRefusal = Extract<SectorScan, { read: false }>['reason'];
type ScanRefusal = Extract<Scan, { read: false }>['reason'];

/** Why no gear was read off a photo, and how to take a better one. */
export const SCAN_REFUSALS = catalogue({
  noGear: 'No gear stands out on this photo. Lay it flat on a plain ground of another colour, and take the photo from straight above.',
  cutOff: 'The gear runs over the edge of the photo. Step back until there is bench all round it.',
  tooSmall: 'The gear is too small on the photo. Come closer until it fills half the picture.',
  tooTilted: 'The camera leans too far, or a shadow runs into the teeth. Hold it straight above the gear, in even light.',
  lowContrast: 'Gear and bench look too much alike. Lay the gear on paper of another colour, out of the glare.',
  noTeeth: 'The rim shows no teeth deep enough to count. Let light fall on it from the side of a plain ground, or count by hand.',
  notAGear:
    'This does not look like the rim of a gear. Lay the gear alone on plain paper, or put centre, rim and count right on the photo yourself.',
  tooFine: 'The teeth are too fine to be told apart. Come closer, or wipe the lens and hold still.',
  countsDisagree:
    'The ways of counting do not agree. Wipe the teeth, lay the gear on plain paper in even light, or count on the photo yourself.',
} satisfies Record<ScanRefusal, string>);

/** Why no worm was read off a photo, and how to take a better one. */
export const WORM_SCAN_REFUSALS = catalogue({
  noGear: 'No worm stands out on this photo. Lay it on its side on plain paper of another colour, and take the photo from straight above.',
  cutOff: 'The worm runs over the edge of the photo. Step back until there is bench all round it.',
  tooSmall: 'The worm is too small on the photo. Come closer until it fills most of the picture.',
  noThreads: 'No threads are seen along it. Lay it on its side, in even light without a hard shadow.',
  lowContrast: 'Its shaded side and the bench look alike. Lay it on paper of another colour, in light from all sides.',
  tooFine: 'The threads are too fine to be told apart. Come closer, or wipe the lens and hold still.',
  countsDisagree:
    'Its edges and the light between them do not agree. Wipe it, turn it so that the light falls along it, and take another photo.',
  notAWorm: 'These look like rings, not like a thread. A worm’s threads run on from one side to the other.',
} satisfies Record<WormScanRefusal, string>);

/** Why no sector was read off a photo, and how to take a better one. */
export const SECTOR_SCAN_REFUSALS = catalogue({
  noGear: 'No gear stands out on this photo. Lay it flat on plain paper of another colour, and take the photo from straight above.',
  cutOff: 'The gear runs over the edge of the photo. Step back until there is bench all round it.',
  tooSmall: 'The gear is too small on the photo. Come closer until it fills most of the picture.',
  noTeeth: 'No row of even teeth is seen on a round. Lay it flat on plain paper, in even light, or count by hand.',
  tooFine: 'The teeth are too fine to be told apart. Come closer, or wipe the lens and hold still.',
  countsDisagree: 'The ways of counting do not agree. Wipe the teeth, lay the gear on plain paper in even light, or count by hand.',
  wholeGear: 'This looks like a whole gear, not a piece of one. Count its teeth as a gear.',
} satisfies Record<SectorScanRefusal, string>);
