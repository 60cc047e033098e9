import type { Pack } from './pack.ts';

/** So much of what a family names has to stand in another for the one to be a copy of the other. */
const SHARE = 0.4;

const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a family speaks of, by id and by name: renaming the one leaves the other. */
function namesOf({ driveline, faults, looks, steps }: Pack): readonly ReadonlySet<string>[] {
  const joints = driveline.joints.map(({ id, type }) => `${type} ${id}`);
  return [
    new Set([...joints, ...faults.map(({ id }) => id), ...looks.map(({ id }) => id)]),
    new Set([...faults.map(({ name }) => plain(name)), ...looks.map(({ name }) => plain(name)), ...steps.map(({ how }) => plain(how))]),
  ];
}

/** How the chain is put together, whatever its pieces are called: how often each kind of joint follows each. */
function shapeOf({ driveline: { joints } }: Pack): string {
  const ends = (joint: Readonly<Record<string, unknown>>) =>
    Object.entries(joint).flatMap(([key, value]) => (key !== 'id' && key !== 'type' && typeof value === 'string' ? [value] : []));
  const kinds = joints.map((joint) => {
    const mine = ends(joint);
    const beside = joints.filter((other) => other !== joint && ends(other).some((end) => mine.includes(end)));
    return `${joint.type}<${beside
      .map(({ type }) => type)
      .sort()
      .join()}>`;
  });
  return kinds.sort().join(' ');
}

/**
 * Whether a family is another one copied and changed a little: two in five of its faults, looks and joints stand there
 * under their ids or their names, or the chain is put together the same way out of five joints or more.
 */
export function isCopyOf(pack: Pack, original: Pack): boolean {
  const [mine, theirs] = [namesOf(pack), namesOf(original)];
  const isShared = mine.some((names, i) => {
    const shared = [...names].filter((each) => theirs[i]?.has(each)).length;
    return names.size > 0 && shared / names.size >= SHARE;
  });
  return isShared || (original.driveline.joints.length >= 5 && shapeOf(pack) === shapeOf(original));
}
