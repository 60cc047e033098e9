import { stepsThatFree, waysToReach } from '../access/opening.ts';
import { reassembly } from '../access/reassembly.ts';
import { fail } from '../failure/CoreFailure.ts';
import { ANYWHERE } from '../work/desks.ts';
import type { Remedy } from '../work/remedy.ts';
import { idsOf, need, unique } from './names.ts';
import type { Pack } from './pack.ts';

/**
 * Refuses remedies that name what the family does not have, or that set something which lies closed while they are done; a
 * setting that two pieces of the way back both do; and what is filled by a piece without saying which setting that is.
 * @throws CoreFailure naming the field at fault
 */
export function checkRemedies(pack: Pack): void {
  const steps = idsOf(pack.steps);
  const settings = idsOf(pack.settings);
  const proofs = idsOf(pack.proofs);
  const cautions = idsOf(pack.cautions);
  const bodies = idsOf(pack.driveline.bodies);
  const places = new Set([...bodies, ...idsOf(pack.driveline.joints), ...idsOf(pack.auxiliaries)]);
  const everyRemedy = new Set([...pack.faults.flatMap(({ remedies }) => remedies.map(({ id }) => id)), ...idsOf(pack.whileOpen)]);
  // First of all, for what lies within reach hangs on it.
  pack.closing.forEach(({ setting }, i) => setting !== undefined && need(settings, setting, `closing.${i}.setting`));
  pack.faults.forEach(({ remedies }, i) => {
    unique(remedies, `faults.${i}.remedies`);
    remedies.forEach((remedy, j) => {
      const at = `faults.${i}.remedies.${j}`;
      remedy.needs.forEach((each, k) => need(steps, each, `${at}.needs.${k}`));
      remedy.settings.forEach((each, k) => need(settings, each, `${at}.settings.${k}`));
      remedy.proofs.forEach((each, k) => need(proofs, each, `${at}.proofs.${k}`));
      unique(remedy.work, `${at}.work`);
      unique(remedy.captures, `${at}.captures`);
      unique(remedy.loose, `${at}.loose`);
      remedy.work.forEach((piece, k) => {
        piece.cautions.forEach((each, l) => need(cautions, each, `${at}.work.${k}.cautions.${l}`));
        if (piece.wait?.most !== undefined && piece.wait.most < piece.wait.minutes)
          throw fail('contradiction', `${at}.work.${k}.wait.most`, { reason: 'limitsCrossed', id: piece.id });
      });
      remedy.parts.forEach(({ gear, item, guideHours }, k) => {
        if (gear !== undefined) need(bodies, gear, `${at}.parts.${k}.gear`);
        if ((gear === undefined) === (item === undefined))
          throw fail('contradiction', `${at}.parts.${k}`, { reason: 'partWithoutName', id: remedy.id });
        if (guideHours.low > guideHours.high)
          throw fail('contradiction', `${at}.parts.${k}.guideHours`, { reason: 'limitsCrossed', id: remedy.id });
      });
      remedy.checks.forEach(({ about, loadNm }, k) => {
        need(places, about, `${at}.checks.${k}.about`);
        if (loadNm && loadNm.low > loadNm.high)
          throw fail('contradiction', `${at}.checks.${k}.loadNm`, { reason: 'limitsCrossed', id: remedy.id });
      });
      remedy.besides.forEach((each, k) => need(everyRemedy, each.remedy, `${at}.besides.${k}.remedy`));
      checkReach(pack, remedy, at);
    });
  });
  refuseNamesakes(pack);
  pack.gears.forEach(({ lifeNew, id }, i) => {
    if (lifeNew && lifeNew.low > lifeNew.high) throw fail('contradiction', `gears.${i}.lifeNew`, { reason: 'limitsCrossed', id });
  });
  unique(pack.spaces, 'spaces');
  pack.spaces.forEach(({ id }, i) => need(places, id, `spaces.${i}.id`));
  checkSettingsOnce(pack);
}

/** A remedy that serves several faults is one thing; two of one name are not. */
function refuseNamesakes({ faults }: Pack): void {
  const known = new Map<string, string>();
  faults.forEach(({ remedies }, i) =>
    remedies.forEach((remedy, j) => {
      const text = JSON.stringify(remedy);
      if ((known.get(remedy.id) ?? text) !== text) throw fail('duplicateId', `faults.${i}.remedies.${j}.id`, { given: remedy.id });
      known.set(remedy.id, text);
    }),
  );
}

function checkReach(pack: Pack, { id, needs, settings }: Remedy, at: string): void {
  settings.forEach((given, k) => {
    if (!isInReach(pack, needs, given)) throw fail('contradiction', `${at}.settings.${k}`, { reason: 'settingOutOfReach', id, given });
  });
}

/** Whether what is set lies within reach with these steps done, whichever way it was opened; or the way back does it. */
export function isInReach(pack: Pack, needs: readonly string[], given: string): boolean {
  const setting = pack.settings.find(({ id }) => id === given);
  const free = setting ? stepsThatFree(pack, setting.at) : [];
  if (!setting || ANYWHERE.includes(setting.desk) || free.length === 0) return true;
  return waysToReach(pack.steps, needs).every(
    (way) =>
      free.some((step) => way.has(step)) || reassembly(pack, [...way]).some((piece) => 'setting' in piece && piece.setting === setting.id),
  );
}

/** A fact stands once: a piece of the way back that sets or fills says which setting that is, and no two do the same. */
function checkSettingsOnce({ closing, faults, settings }: Pack): void {
  const taken = new Set<string>();
  // Files from before there were remedies say it nowhere, and go on being read.
  const isFilled = faults.some(({ remedies }) => remedies.length > 0) && settings.some(({ desk }) => desk === 'fill');
  closing.forEach(({ id, kind, setting }, i) => {
    if (setting === undefined) {
      if (kind === 'fill' && isFilled) throw fail('contradiction', `closing.${i}.setting`, { reason: 'filledTwice', id });
      return;
    }
    if (taken.has(setting)) throw fail('duplicateId', `closing.${i}.setting`, { given: setting });
    taken.add(setting);
  });
}
