import fc from 'fast-check';
import { motion } from './motion.ts';
import { motionInput } from './schema.ts';

const sector = (travelDeg: number, turns: number) =>
  motion(
    motionInput.parse({
      driveline: {
        bodies: [{ id: 'pinion' }, { id: 'sector' }],
        joints: [{ id: 'mesh', type: 'mesh', a: 'pinion', b: 'sector', teethA: 10, teethB: 50, travelDeg }],
      },
      drive: [{ body: 'pinion', turns }],
    }),
  );

test('a toothed sector never goes beyond its travel, whichever way it is driven', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 359, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true }), (travelDeg, turns) => {
      const { bodies, endStop } = sector(travelDeg, turns);
      const moved = Math.abs(bodies.sector?.turns ?? 0) * 360;
      return moved <= travelDeg * (1 + 1e-9) && (endStop === undefined) === Math.abs(turns) * 72 <= travelDeg;
    }),
  );
});

test('within its travel nothing is changed', () => {
  expect(sector(90, 1)).toMatchObject({ bodies: { pinion: { turns: 1 }, sector: { turns: -0.2 } } });
  expect(sector(90, 1).endStop).toBeUndefined();
});
