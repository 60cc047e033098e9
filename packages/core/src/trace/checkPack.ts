import { checkDriveline } from '../driveline/check.ts';
import { fail } from '../failure/CoreFailure.ts';
import { checkRemedies } from './checkRemedies.ts';
import { checkStates } from './checkStates.ts';
import { idsOf, need, unique } from './names.ts';
import type { KinematicLook, Pack, TableLook } from './pack.ts';

/**
 * Refuses a pack whose pieces do not meet: a look that watches a body that is not there, a table
 * with the wrong number of columns, steps that need each other in a circle.
 * @throws CoreFailure naming the field at fault
 */
export function checkPack(pack: Pack): Pack {
  checkDriveline(pack.driveline);
  const bodies = unique(pack.driveline.bodies, 'driveline.bodies');
  const joints = unique(pack.driveline.joints, 'driveline.joints');
  const auxiliaries = unique(pack.auxiliaries, 'auxiliaries');
  const faults = unique(pack.faults, 'faults');
  const looks = unique(pack.looks, 'looks');
  const steps = unique(pack.steps, 'steps');
  const cautions = unique(pack.cautions, 'cautions');
  const gears = unique(pack.gears, 'gears');
  const places = new Set([...bodies, ...joints, ...auxiliaries]);

  pack.order.forEach((each, i) => need(bodies, each, `order.${i}`));
  checkDrawing(pack);
  unique(pack.complaints, 'complaints');
  pack.complaints.forEach(({ first, shownBy }, i) => {
    first.forEach((look, j) => need(looks, look, `complaints.${i}.first.${j}`));
    if (shownBy !== undefined) need(looks, shownBy, `complaints.${i}.shownBy`);
  });
  pack.finds.forEach(({ look, result }, i) => {
    need(looks, look, `finds.${i}.look`);
    const found = pack.looks.find(({ id }) => id === look);
    if (found?.kind === 'table') need(idsOf(found.results), result, `finds.${i}.result`);
  });
  pack.together.forEach((each, i) => each.faults.forEach((id, j) => need(faults, id, `together.${i}.faults.${j}`)));
  unique(pack.variants, 'variants');
  pack.complaints.forEach(({ points }, i) => points.forEach(({ fault }, j) => need(faults, fault, `complaints.${i}.points.${j}.fault`)));
  pack.auxiliaries.forEach((each, i) => need(bodies, each.beside, `auxiliaries.${i}.beside`));
  pack.gears.forEach((each, i) => need(bodies, each.body, `gears.${i}.body`));
  pack.textbookOrder.forEach((each, i) => need(looks, each, `textbookOrder.${i}`));
  pack.faults.forEach((fault, i) => {
    need(places, fault.at, `faults.${i}.at`);
    if (fault.remedy?.part) need(gears, fault.remedy.part, `faults.${i}.remedy.part`);
    if (!fault.remedy && fault.remedies.length === 0) {
      throw fail('contradiction', `faults.${i}.remedies`, { reason: 'noRemedy', id: fault.id });
    }
    const share = fault.modes.reduce((sum, each) => sum + each.share, 0);
    if (fault.modes.length > 0 && Math.abs(share - 1) > 1e-9) {
      throw fail('contradiction', `faults.${i}.modes`, { reason: 'sharesNotOne', id: fault.id, given: share });
    }
    fault.modes.forEach(({ dead }, j) => dead.forEach((each, k) => need(bodies, each, `faults.${i}.modes.${j}.dead.${k}`)));
    if (fault.modes.some(({ mode }) => mode) && !joints.has(fault.at)) {
      throw fail('contradiction', `faults.${i}.at`, { reason: 'faultNotAtJoint', id: fault.id });
    }
  });
  pack.looks.forEach((look, i) => {
    need(places, look.at, `looks.${i}.at`);
    look.needs.forEach((each, j) => need(steps, each, `looks.${i}.needs.${j}`));
    look.cautions.forEach((each, j) => need(cautions, each, `looks.${i}.cautions.${j}`));
    if (look.kind === 'kinematic') {
      need(bodies, look.drive.body, `looks.${i}.drive.body`);
      need(bodies, look.watch, `looks.${i}.watch`);
      if (look.beside) need(bodies, look.beside, `looks.${i}.beside`);
      look.held.forEach((each, j) => need(bodies, each, `looks.${i}.held.${j}`));
      look.apart.forEach((each, j) => need(joints, each, `looks.${i}.apart.${j}`));
      checkShows(look, faults, `looks.${i}.shows`);
      const { kind } = pack.driveline.bodies.find((each) => each.id === look.drive.body) ?? {};
      const wanted = kind === 'slider' ? 'travelMm' : 'turns';
      if (!look.drive[wanted] || (look.drive.turns !== undefined && look.drive.travelMm !== undefined)) {
        throw fail('contradiction', `looks.${i}.drive`, {
          reason: 'driveOfOtherKind',
          id: look.id,
          body: look.drive.body,
          wanted,
        });
      }
      return;
    }
    checkFigure(look, `looks.${i}.figure`);
    look.results.forEach(({ settles }, j) => settles !== undefined && need(faults, settles, `looks.${i}.results.${j}.settles`));
    const named = Object.entries(look.likelihoods).map(([id, row]) => ({ id, row, path: `looks.${i}.likelihoods.${id}` }));
    named.forEach(({ id, path }) => need(faults, id, path));
    const rows = [
      ...named,
      { row: look.otherwise, path: `looks.${i}.otherwise` },
      ...(look.sound ? [{ row: look.sound, path: `looks.${i}.sound` }] : []),
      ...(look.noneOfThese ? [{ row: look.noneOfThese, path: `looks.${i}.noneOfThese` }] : []),
    ];
    for (const { row, path } of rows) {
      const sum = row.reduce((total, p) => total + p, 0);
      if (row.length !== look.results.length || Math.abs(sum - 1) > 1e-6) {
        throw fail('contradiction', path, {
          reason: 'chancesNotOne',
          id: look.id,
          results: look.results.length,
        });
      }
    }
  });
  pack.steps.forEach((step, i) => {
    step.needs.forEach((each, j) => need(steps, each, `steps.${i}.needs.${j}`));
    step.cautions.forEach((each, j) => need(cautions, each, `steps.${i}.cautions.${j}`));
    step.ways.forEach((way, j) => way.forEach((each, k) => need(steps, each, `steps.${i}.ways.${j}.${k}`)));
    step.frees.forEach((each, j) => need(places, each, `steps.${i}.frees.${j}`));
    unique(step.loose, `steps.${i}.loose`);
    unique(step.captures, `steps.${i}.captures`);
  });
  // A piece and a step of one id could not be told apart in the ledger.
  unique([...pack.closing, ...pack.steps], 'closing');
  unique(pack.whileOpen, 'whileOpen');
  unique(waitsOf(pack), 'steps');
  pack.whileOpen.forEach((each, i) => need(places, each.at, `whileOpen.${i}.at`));
  pack.closing.forEach((back, i) => {
    back.closes.forEach((step, j) => need(steps, step, `closing.${i}.closes.${j}`));
    back.after.forEach((step, j) => need(steps, step, `closing.${i}.after.${j}`));
    back.cautions.forEach((caution, j) => need(cautions, caution, `closing.${i}.cautions.${j}`));
  });
  unique(pack.settings, 'settings');
  pack.settings.forEach((each, i) => need(places, each.at, `settings.${i}.at`));
  checkProofs(pack, cautions);
  refuseCircles(pack);
  checkStates(pack);
  checkRemedies(pack);
  return pack;
}

/** What a fault shows beside the motion is a share of the looks. */
function checkShows({ id, shows }: KinematicLook, faults: ReadonlySet<string>, path: string): void {
  for (const [fault, row] of Object.entries(shows)) {
    need(faults, fault, `${path}.${fault}`);
    const sum = Object.values(row).reduce((total, each) => total + each, 0);
    if (sum > 1) throw fail('contradiction', `${path}.${fault}`, { reason: 'chancesNotOne', id, results: Object.keys(row).length });
  }
}

/** A later proof says when, limits lie in order, and what failing means is a result of a look. */
function checkProofs({ looks, proofs }: Pack, cautions: ReadonlySet<string>): void {
  unique(proofs, 'proofs');
  proofs.forEach(({ id, cautions: named, failing, phase, afterDays, figure }, i) => {
    named.forEach((caution, j) => need(cautions, caution, `proofs.${i}.cautions.${j}`));
    if ((phase === 'later') !== afterDays.length > 0)
      throw fail('contradiction', `proofs.${i}.afterDays`, { reason: 'laterWithoutDays', id });
    if (figure && (figure.min ?? -Infinity) > (figure.max ?? Infinity))
      throw fail('contradiction', `proofs.${i}.figure`, { reason: 'limitsCrossed', id });
    if (!failing) return;
    const look = looks.find((each) => each.id === failing.look);
    need(new Set(looks.map((each) => each.id)), failing.look, `proofs.${i}.failing.look`);
    if (look?.kind === 'table' && failing.result !== undefined)
      need(new Set(look.results.map((each) => each.id)), failing.result, `proofs.${i}.failing.result`);
  });
}

/** Every wait of the way in and back; a running time is known by its id alone. */
const waitsOf = ({ steps, closing }: Pack) => [...steps, ...closing].flatMap((each) => each.wait ?? []);

/** Every body is drawn once, on the main line or on one of the branches, and each branch starts at a body drawn before it. */
function checkDrawing(pack: Pack): void {
  const drawn = new Set<string>();
  const draw = (order: readonly string[], path: string) =>
    order.forEach((id, i) => {
      if (drawn.has(id)) throw fail('duplicateId', `${path}.${i}`, { given: id });
      drawn.add(id);
    });
  const bodies = new Set(pack.driveline.bodies.map(({ id }) => id));
  draw(pack.order, 'order');
  pack.branches.forEach(({ from, order }, i) => {
    need(drawn, from, `branches.${i}.from`);
    order.forEach((each, j) => need(bodies, each, `branches.${i}.order.${j}`));
    draw(order, `branches.${i}.order`);
  });
  const left = [...bodies].find((each) => !drawn.has(each));
  if (left) throw fail('contradiction', 'order', { reason: 'notDrawn', id: left });
}

function checkFigure({ id, results, figure }: TableLook, path: string): void {
  if (!figure) return;
  const rising = figure.limits.every((limit, i) => i === 0 || limit > (figure.limits[i - 1] as number));
  if (figure.limits.length === results.length - 1 && rising) return;
  throw fail('contradiction', `${path}.limits`, {
    reason: 'limitsBetweenResults',
    id,
    results: results.length,
  });
}

function refuseCircles(pack: Pack): void {
  const needs = new Map(pack.steps.map((step) => [step.id, [...step.needs, ...step.ways.flat()]]));
  const done = new Set<string>();
  const visit = (id: string, above: readonly string[]): void => {
    if (above.includes(id)) {
      const i = pack.steps.findIndex((step) => step.id === id);
      throw fail('contradiction', `steps.${i}.needs`, { reason: 'stepNeedsItself', id, circle: [...above, id].join(' → ') });
    }
    if (done.has(id)) return;
    for (const each of needs.get(id) ?? []) visit(each, [...above, id]);
    done.add(id);
  };
  for (const { id } of pack.steps) visit(id, []);
}
