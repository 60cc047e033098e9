import type { Driveline, Joint } from './schema.ts';
import { bodiesOf } from './transmission.ts';

/** The joints at each body: what spreads from body to body then takes as long as the chain, in whatever order it is written. */
export type JointsAt = (body: string) => readonly Joint[];

export function jointsAt({ joints }: Pick<Driveline, 'joints'>): JointsAt {
  const at = new Map<string, Joint[]>();
  for (const joint of joints) {
    for (const body of bodiesOf(joint)) {
      const there = at.get(body);
      if (there) there.push(joint);
      else at.set(body, [joint]);
    }
  }
  return (body) => at.get(body) ?? [];
}
