import type { OperationOutput } from '@patient-badger/core';
import type { Pack } from '@patient-badger/core/machine';

type Plan = OperationOutput<'work.plan'>;
type Remedy = Pack['faults'][number]['remedies'][number];

/**
 * Carries a plan of the work out on a machine that is described by the family file and nothing else, and says what goes wrong: what
 * cannot be reached, is opened twice, closed under something open, begun too soon or too late, and what is left undone at the end.
 * It shares no code with what makes the plans.
 */
export function carryOut(
  pack: Pack,
  plan: Plan,
  { remedies, opened = [] }: { remedies: readonly Remedy[]; opened?: readonly string[] },
): readonly string[] {
  const wrong: string[] = [];
  const open = new Set(opened);
  const ends = new Map<string, { start: number; end: number }>();
  const setDone = new Set<string>();
  const proved: string[] = [];
  const pieces = new Map(remedies.map((remedy) => [remedy.id, 0]));
  let clock = 0;
  let hands = 0;
  const stepOf = (id: string) => pack.steps.find((step) => step.id === id);
  const isThere = (id: string) => open.has(id);

  for (const task of plan.steps) {
    if (ends.has(task.id)) wrong.push(`${task.id} twice`);
    let from = task.hands === 0 ? 0 : clock;
    for (const { task: before, from: since, leastMinutes } of task.after) {
      const other = ends.get(before);
      if (!other) wrong.push(`${task.id} before ${before}`);
      else from = Math.max(from, (since === 'end' ? other.end : other.start) + leastMinutes);
    }
    for (const { task: before, from: since, mostMinutes } of task.after) {
      const other = ends.get(before);
      if (other && mostMinutes !== undefined && from > (since === 'end' ? other.end : other.start) + mostMinutes + 1e-9)
        wrong.push(`${task.id} later after ${before} than it may`);
    }
    ends.set(task.id, { start: from, end: from + task.minutes });
    if (task.hands > 0) clock = from + task.minutes;
    const isLater = task.kind === 'prove' && pack.proofs.find(({ id }) => id === task.ref)?.phase === 'later';
    if (task.hands > 0 && !isLater) hands += task.minutes;

    if (task.kind === 'open') {
      const step = stepOf(task.ref);
      if (!step) wrong.push(`no step ${task.ref}`);
      else {
        if (open.has(step.id)) wrong.push(`${step.id} is open already`);
        if (!step.needs.every(isThere)) wrong.push(`${step.id} without what it needs`);
        if (step.ways.length > 0 && !step.ways.some((way) => way.every(isThere))) wrong.push(`${step.id} by no way`);
        open.add(step.id);
      }
    }
    if (task.kind === 'do') {
      const remedy = remedies.find(({ id }) => task.ref.startsWith(`${id}/`));
      const at = remedy ? remedy.work.findIndex(({ id }) => task.ref === `${remedy.id}/${id}`) : -1;
      if (remedy) {
        if (!remedy.needs.every(isThere)) wrong.push(`${task.ref} with ${remedy.needs.filter((each) => !isThere(each)).join(', ')} closed`);
        if (at !== pieces.get(remedy.id)) wrong.push(`${task.ref} out of turn`);
        pieces.set(remedy.id, at + 1);
        const before = remedy.work[at - 1];
        const last = before && ends.get(`do:${remedy.id}/${before.id}`);
        if (last && before.wait) {
          if (from < last.end + before.wait.minutes - 1e-9) wrong.push(`${task.ref} sooner than ${before.id} lets it`);
          if (before.wait.most !== undefined && from > last.end + before.wait.most + 1e-9)
            wrong.push(`${task.ref} later than ${before.id} lets it`);
        }
      } else if (!pack.whileOpen.some(({ id }) => id === task.ref)) wrong.push(`nobody asked for ${task.ref}`);
    }
    if (task.kind === 'set') {
      const setting = pack.settings.find(({ id }) => id === task.ref);
      const frees = pack.steps.filter(({ frees: list }) => setting && list.includes(setting.at)).map(({ id }) => id);
      const own = pack.closing.find((piece) => piece.setting === task.ref);
      const afterOwn = own !== undefined && ends.has(`close:${own.id}`);
      const inside = !['fill', 'afterwards', 'torque', 'timing', 'rimPlay'].includes(setting?.desk ?? '');
      if (inside && !afterOwn && frees.length > 0 && !frees.some(isThere)) wrong.push(`${task.ref} is set where it lies closed`);
      if (setting?.desk === 'fill' && !afterOwn && frees.some(isThere)) wrong.push(`${task.ref} is filled while it is open`);
      setDone.add(task.ref);
    }
    if (task.kind === 'close') {
      const piece = pack.closing.find(({ id }) => id === task.ref);
      const closes = piece ? piece.closes : [task.ref];
      for (const id of closes) {
        const above = [...open].filter((other) => !closes.includes(other) && standsOn(id, stepOf(other), open));
        if (above.length > 0) wrong.push(`${task.ref} closes ${id} under ${above.join(', ')}`);
        open.delete(id);
      }
    }
    if (task.kind === 'prove') {
      if (open.size > 0) wrong.push(`${task.ref} is proved with ${[...open].join(', ')} open`);
      proved.push(task.ref);
    }
  }
  if (open.size > 0) wrong.push(`left open: ${[...open].join(', ')}`);
  for (const remedy of remedies) {
    if (pieces.get(remedy.id) !== remedy.work.length) wrong.push(`${remedy.id} is not done to its end`);
    for (const id of remedy.settings) if (!setDone.has(id)) wrong.push(`${id} is not set`);
    for (const id of remedy.proofs) if (!proved.includes(id)) wrong.push(`${id} is not proved`);
  }
  const phases = proved.map((id) =>
    ['hand', 'unloaded', 'inUse', 'later'].indexOf(pack.proofs.find((each) => each.id === id)?.phase ?? ''),
  );
  if (phases.some((phase, i) => phase < (phases[i - 1] ?? 0))) wrong.push('proofs out of their phases');
  if (Math.abs(hands - plan.minutes) > 1e-6) wrong.push(`${hands} minutes of hands, not ${plan.minutes}`);
  return wrong;
}

/** Whether a step stands on this one: by what it needs, or by the only way to it that is open. */
function standsOn(on: string, step: Pack['steps'][number] | undefined, open: ReadonlySet<string>): boolean {
  if (!step) return false;
  if (step.needs.includes(on)) return true;
  const ways = step.ways.filter((way) => way.every((id) => open.has(id)));
  return ways.length > 0 && ways.every((way) => way.includes(on));
}

/** Minutes of the cheapest set of steps in which all of these are open: every set is tried. */
export function cheapestOpening(pack: Pack, needs: readonly string[], opened: readonly string[] = []): number {
  let best = Infinity;
  const count = pack.steps.length;
  for (let mask = 0; mask < 1 << count; mask++) {
    const has = (id: string) => opened.includes(id) || pack.steps.some((step, i) => step.id === id && (mask & (1 << i)) !== 0);
    if (!needs.every(has)) continue;
    const chosen = pack.steps.filter((_, i) => (mask & (1 << i)) !== 0);
    const minutes = chosen.reduce((sum, step) => sum + (opened.includes(step.id) ? 0 : step.minutes), 0);
    if (minutes >= best) continue;
    if (chosen.every(({ needs: before, ways }) => before.every(has) && (ways.length === 0 || ways.some((way) => way.every(has)))))
      best = minutes;
  }
  return best;
}
