import { t } from '@patient-badger/wording/strength';
import type { OperationOutput } from '@patient-badger/core';
import type { JointLoad } from '../driveline/appearance.ts';
import { torqueText } from '../preferences/lengthText.ts';

export type StrengthChain = OperationOutput<'strength.chain'>;
type Link = StrengthChain['links'][number];

/**
 * What each joint carries of what it bears, and what it would after the change; the fuse is marked.
 * @param capacities what a joint bears, N·m; those that are not known are left out
 * @param chain null while no load is known
 */
export function loadsOf(
  joints: readonly { readonly id: string }[],
  capacities: readonly { readonly joint: string; readonly capacityNm: number }[],
  chain: StrengthChain | null,
): Readonly<Record<string, JointLoad>> {
  const all = [...(chain?.links ?? []), ...(chain?.after?.links ?? [])];
  const most = Math.max(1, ...all.map(({ utilisation }) => utilisation));
  return Object.fromEntries(
    joints.map(({ id }): [string, JointLoad] => {
      const now = chain?.links.find(({ joint }) => joint === id);
      const then = chain?.after?.links.find(({ joint }) => joint === id);
      if (!now) {
        const bears = capacities.find(({ joint }) => joint === id)?.capacityNm;
        return [id, { words: [{ text: bears === undefined ? t.bearsNotKnown : t.bearsNM(torqueText(bears)) }], isFuse: false }];
      }
      const isFuse = chain?.fuse === id;
      const willBe = chain?.after?.fuse === id;
      const changes = then !== undefined && (text(then) !== text(now) || isFuse !== willBe);
      return [
        id,
        {
          words: [
            { text: `${isFuse ? t.theFuse : ''}${text(now)}`, marked: isFuse },
            ...(changes ? [{ text: t.then(willBe ? t.theFuse : '', text(then)), marked: willBe }] : []),
          ],
          share: now.utilisation / most,
          isFuse: isFuse || willBe,
        },
      ];
    }),
  );
}

const text = ({ loadNm, capacityNm, utilisation }: Link) =>
  t.ofNM(torqueText(loadNm), torqueText(capacityNm), Math.round(utilisation * 100));
