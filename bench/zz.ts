import { findFamily } from '@patient-badger/knowledge';
import { motion } from '../packages/core/src/driveline/motion.ts';
const p = findFamily('walk-drive-gearbox')!;
for (const s of ['left', 'right'])
  for (const f of [
    [{ joint: s + '-mesh', mode: 'jammed' }],
    [{ joint: 'worm-wheel', mode: 'skips' }],
    [
      { joint: s + '-mesh', mode: 'jammed' },
      { joint: 'worm-wheel', mode: 'skips' },
    ],
    [
      { joint: 'worm-wheel', mode: 'skips' },
      { joint: s + '-mesh', mode: 'jammed' },
    ],
  ] as any)
    for (const w of ['lwheel', 'rwheel']) {
      const r = motion({
        driveline: p.driveline,
        drive: [{ body: 'pulley', turns: 40 }],
        held: [],
        faults: f,
        underLoad: true,
        visibleDeg: 20,
        visibleMm: 2,
        watch: w,
      });
      if (w === 'lwheel')
        console.log(
          s,
          JSON.stringify(f.map((x: any) => x.joint + x.mode)),
          Object.entries(r.bodies)
            .map(([k, v]) => k + ':' + v.state)
            .join(' '),
        );
    }
