import { bodiesOf, type Joint, type Pack } from '@patient-badger/core/machine';

export type Branch = Pack['branches'][number];

/** Lanes that begin at a station. */
export const branchesAt = ({ branches }: Pack, station: string): readonly Branch[] => branches.filter(({ from }) => from === station);

/** Two lanes of like length from the end of the line, such as two axles, stand side by side. */
export const areTwins = ([one, other, third]: readonly Branch[]): boolean =>
  one !== undefined && other !== undefined && third === undefined && one.order.length === other.order.length;

/** The joint that ties two stations drawn one below the other. */
export const jointBetween = (pack: Pack, above: string, below: string): Joint | undefined =>
  pack.driveline.joints.find((joint) => {
    const bodies = bodiesOf(joint);
    return bodies.includes(above) && bodies.includes(below);
  });
