import { checkDriveline } from '../driveline/check.ts';
import { fail } from '../failure/CoreFailure.ts';
import type { Pack } from './pack.ts';

/**
 * Refuses a pack whose pieces do not meet: a look that watches a body that is not there, a table
 * with the wrong number of columns, steps that need each other in a circle.
 * @throws CoreFailure naming the field at fault
 */
export function checkPack(pack: Pack): Pack {
  checkDriveline(pack.driveline);
  const bodies = unique(pack.driveline.bodies, 'driveline.bodies');
  const joints = unique(pack.driveline.joints, 'driveline.joints');
  const outliers = unique(pack.outliers, 'outliers');
  const faults = unique(pack.faults, 'faults');
  const looks = unique(pack.looks, 'looks');
  const steps = unique(pack.steps, 'steps');
  const cautions = unique(pack.cautions, 'cautions');
  const gears = unique(pack.gears, 'gears');
  const places = new Set([...bodies, ...joints, ...outliers]);
  const need = (known: ReadonlySet<string>, given: string, path: string) => {
    if (!known.has(given)) throw fail('unknownId', path, { given, known: [...known].join(', ') });
  };

  pack.order.forEach((each, i) => need(bodies, each, `order.${i}`));
  pack.outliers.forEach((each, i) => need(bodies, each.beside, `outliers.${i}.beside`));
  pack.gears.forEach((each, i) => need(bodies, each.body, `gears.${i}.body`));
  pack.textbookOrder.forEach((each, i) => need(looks, each, `textbookOrder.${i}`));
  pack.faults.forEach((fault, i) => {
    need(places, fault.at, `faults.${i}.at`);
    if (fault.remedy.part) need(gears, fault.remedy.part, `faults.${i}.remedy.part`);
    const share = fault.modes.reduce((sum, each) => sum + each.share, 0);
    if (fault.modes.length > 0 && Math.abs(share - 1) > 1e-9) {
      throw fail('contradiction', `faults.${i}.modes`, { why: `The shares of "${fault.id}" must add up to 1, not ${share}.` });
    }
    if (fault.modes.some(({ mode }) => mode) && !joints.has(fault.at)) {
      throw fail('contradiction', `faults.${i}.at`, { why: `"${fault.id}" shows in the motion, so it must sit at a joint.` });
    }
  });
  pack.looks.forEach((look, i) => {
    need(places, look.at, `looks.${i}.at`);
    look.needs.forEach((each, j) => need(steps, each, `looks.${i}.needs.${j}`));
    look.cautions.forEach((each, j) => need(cautions, each, `looks.${i}.cautions.${j}`));
    if (look.kind === 'kinematic') {
      need(bodies, look.drive.body, `looks.${i}.drive.body`);
      need(bodies, look.watch, `looks.${i}.watch`);
      look.held.forEach((each, j) => need(bodies, each, `looks.${i}.held.${j}`));
      return;
    }
    const rows = [...Object.entries(look.likelihoods), ['otherwise', look.otherwise] as const];
    for (const [faultId, row] of rows) {
      const path = faultId === 'otherwise' ? `looks.${i}.otherwise` : `looks.${i}.likelihoods.${faultId}`;
      if (faultId !== 'otherwise') need(faults, faultId, path);
      const sum = row.reduce((total, p) => total + p, 0);
      if (row.length !== look.results.length || Math.abs(sum - 1) > 1e-6) {
        throw fail('contradiction', path, {
          why: `"${look.id}" has ${look.results.length} results: give ${look.results.length} chances that add up to 1.`,
        });
      }
    }
  });
  pack.steps.forEach((step, i) => {
    step.needs.forEach((each, j) => need(steps, each, `steps.${i}.needs.${j}`));
    step.cautions.forEach((each, j) => need(cautions, each, `steps.${i}.cautions.${j}`));
  });
  pack.closing.forEach((each, i) => {
    if (each.closes) need(steps, each.closes, `closing.${i}.closes`);
  });
  refuseCircles(pack);
  return pack;
}

function unique(list: readonly { readonly id: string }[], path: string): ReadonlySet<string> {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id)) throw fail('duplicateId', `${path}.${i}.id`, { given: id });
    seen.add(id);
  });
  return seen;
}

function refuseCircles(pack: Pack): void {
  const needs = new Map(pack.steps.map((step) => [step.id, step.needs]));
  const done = new Set<string>();
  const visit = (id: string, above: readonly string[]): void => {
    if (above.includes(id)) {
      const i = pack.steps.findIndex((step) => step.id === id);
      throw fail('contradiction', `steps.${i}.needs`, { why: `The step "${id}" needs itself: ${[...above, id].join(' → ')}.` });
    }
    if (done.has(id)) return;
    for (const each of needs.get(id) ?? []) visit(each, [...above, id]);
    done.add(id);
  };
  for (const { id } of pack.steps) visit(id, []);
}
