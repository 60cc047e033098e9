import { t as drivelineWords } from '@patient-badger/wording/driveline';
import { t as log } from '@patient-badger/wording/log';
import type { Pack } from '@patient-badger/core/machine';
import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { areTwins, branchesAt, jointBetween } from './branches.ts';
import { MotionPanel } from './MotionPanel.tsx';
import { stationShape } from './stationShape.ts';

const rows = () => screen.getAllByRole('listitem').map((row) => row.textContent ?? '');
const suspects = (pack: Pack) => pack.faults.map(({ id }) => id);

test('a chain with two lanes runs sound, and beside it with a fault in one of them', () => {
  const pack = findFamily('auger-gearbox') as Pack;
  render(<MotionPanel pack={pack} suspects={suspects(pack)} />);
  expect(rows().some((row) => row.includes('with it'))).toBe(false);
  fireEvent.click(screen.getByRole('radio', { name: 'Left shear pin sheared' }));
  expect(screen.getByText(drivelineWords.theFaultItCarriesNothing)).toBeTruthy();
  const left = screen.getByRole('list', { name: log.left }).textContent ?? '';
  const right = screen.getByRole('list', { name: log.right }).textContent ?? '';
  expect(left).toContain('with it: stands still');
  expect(right).not.toContain('with it');
});

test('turns enough go in for the slowest body to be seen, and each says how many it needs', () => {
  const pack = findFamily('dash-odometer-cable') as Pack;
  render(<MotionPanel pack={pack} suspects={suspects(pack)} />);
  expect(screen.getByText(/^(10|20|50|100|200|500) turns put in at the/)).toBeTruthy();
  expect(screen.getAllByText(/^shows 20° after [\d.]+ turns$/).length).toBeGreaterThan(0);
});

test('more faults than the first few are there on a press', () => {
  const pack = findFamily('constant-mesh-gearbox') as Pack;
  render(<MotionPanel pack={pack} suspects={suspects(pack)} />);
  const before = screen.getAllByRole('radio').length;
  fireEvent.click(screen.getByText(/more faults that show in the motion$/));
  expect(screen.getAllByRole('radio').length).toBeGreaterThan(before);
});

describe.each(FAMILIES)('$id', (pack) => {
  test('every body is drawn once and every joint stands between two that are drawn one below the other', () => {
    const drawn = new Set<string>();
    const walk = (ids: readonly string[], from?: string): string[] =>
      ids.flatMap((id, i) => {
        const above = i === 0 ? from : ids[i - 1];
        const joint = above === undefined ? undefined : jointBetween(pack, above, id);
        if (joint) drawn.add(joint.id);
        return [id, ...branchesAt(pack, id).flatMap((branch) => walk(branch.order, branch.from))];
      });
    expect(walk(pack.order).sort()).toEqual(pack.driveline.bodies.map(({ id }) => id).sort());
    expect(pack.driveline.joints.map(({ id }) => id).filter((id) => !drawn.has(id))).toEqual([]);
  });

  test('is drawn with signs for what its bodies are, and its twin lanes are of like length', () => {
    const shapes = pack.driveline.bodies.map(({ id }, i) => stationShape(pack.driveline, id, i === 0));
    expect(new Set(shapes).size).toBeGreaterThan(2);
    for (const { from } of pack.branches) {
      const lanes = branchesAt(pack, from);
      if (areTwins(lanes)) expect(new Set(lanes.map(({ order }) => order.length)).size).toBe(1);
    }
  });
});
