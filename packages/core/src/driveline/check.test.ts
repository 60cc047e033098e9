import { CoreFailure } from '../failure/CoreFailure.ts';
import { motion } from './motion.ts';
import { motionInput } from './schema.ts';

const rack = { id: 'k', type: 'rack', pinion: 'p', rack: 'r', teeth: 14, moduleMm: 1.5 };
const bodies = [{ id: 'p' }, { id: 'r', kind: 'slider' }];

function pathOf(input: object): string {
  try {
    motion(motionInput.parse({ driveline: { bodies, joints: [rack] }, drive: [{ body: 'p', turns: 1 }], ...input }));
  } catch (error) {
    if (error instanceof CoreFailure) return error.path;
    throw error;
  }
  return 'taken';
}

test('a sound question is taken', () => expect(pathOf({})).toBe('taken'));

test.each([
  ['a rack that turns', { driveline: { bodies: [{ id: 'p' }, { id: 'r' }], joints: [rack] } }, 'driveline.joints.0.rack'],
  [
    'a pinion that slides',
    {
      driveline: {
        bodies: [
          { id: 'p', kind: 'slider' },
          { id: 'r', kind: 'slider' },
        ],
        joints: [rack],
      },
      drive: [{ body: 'p', travelMm: 1 }],
    },
    'driveline.joints.0.pinion',
  ],
  ['a body named twice', { driveline: { bodies: [...bodies, { id: 'p' }], joints: [] } }, 'driveline.bodies.2.id'],
  ['a joint named twice', { driveline: { bodies, joints: [rack, rack] } }, 'driveline.joints.1.id'],
  [
    'a joint with itself',
    { driveline: { bodies, joints: [{ id: 's', type: 'seat', a: 'p', b: 'p', by: 'key' }] } },
    'driveline.joints.0.b',
  ],
  ['turns for a slider', { drive: [{ body: 'r', turns: 1 }] }, 'drive.0.turns'],
  ['travel for a rotor', { drive: [{ body: 'p', travelMm: 1 }] }, 'drive.0.travelMm'],
  ['a drive without a motion', { drive: [{ body: 'p' }] }, 'drive.0.turns'],
  [
    'one body driven twice',
    {
      drive: [
        { body: 'p', turns: 1 },
        { body: 'p', turns: 2 },
      ],
    },
    'drive.1.body',
  ],
  ['an unknown body held', { held: ['moon'] }, 'held.0'],
  ['an unknown body watched', { watch: 'moon' }, 'watch'],
])('refuses %s and names the field', (_name, input, path) => expect(pathOf(input)).toBe(path));
