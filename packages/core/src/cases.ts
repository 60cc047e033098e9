import { CoreFailure } from './failure/CoreFailure.ts';
import type { Operations } from './operations.ts';

export interface Case {
  readonly op: string;
  readonly input: unknown;
  readonly expect: unknown;
  readonly tolerance?: number;
  readonly absolute?: number;
  readonly note?: string;
}

export interface CaseResult {
  readonly passed: boolean;
  /** First disagreement: where, what was expected, what came. */
  readonly why?: string;
}

/**
 * Runs cases against the operations. `expect` is partial: numbers agree within the relative
 * `tolerance` (default 1e-6) or within `absolute`, texts and booleans are equal, lists are compared
 * item by item as far as given, `{ "error": path }` expects a refusal naming that field.
 */
export function runCases(operations: Operations, cases: readonly Case[]): readonly CaseResult[] {
  return cases.map((goldenCase) => {
    const wantedError = errorPath(goldenCase.expect);
    try {
      const output = operations.runNamed(goldenCase.op, goldenCase.input);
      if (wantedError !== null) return { passed: false, why: `expected a refusal of ${wantedError}, got an answer` };
      const why = disagreement(goldenCase.expect, output, {
        path: '',
        slack: { tolerance: goldenCase.tolerance ?? 1e-6, absolute: goldenCase.absolute ?? 0 },
      });
      return why === null ? { passed: true } : { passed: false, why };
    } catch (error) {
      if (!(error instanceof CoreFailure)) return { passed: false, why: `broke: ${String(error)}` };
      if (wantedError === error.path) return { passed: true };
      const said = `refused ${error.path || '(input)'}: ${error.code}${error.detail.reason === undefined ? '' : ` (${error.detail.reason})`}`;
      return { passed: false, why: wantedError === null ? said : `expected a refusal of ${wantedError}, ${said}` };
    }
  });
}

function errorPath(expect: unknown): string | null {
  const keys = expect !== null && typeof expect === 'object' ? Object.keys(expect) : [];
  const path = (expect as { error?: unknown } | null)?.error;
  return keys.length === 1 && typeof path === 'string' ? path : null;
}

interface Slack {
  readonly tolerance: number;
  readonly absolute: number;
}

interface DisagreementOptions {
  readonly path: string;
  readonly slack: Slack;
}

function disagreement(expected: unknown, actual: unknown, { path, slack }: DisagreementOptions): string | null {
  const here = `${path || '(output)'}: expected ${JSON.stringify(expected)}, got ${JSON.stringify(actual)}`;
  if (typeof expected === 'number') {
    if (typeof actual !== 'number') return here;
    const off = Math.abs(actual - expected);
    return off <= slack.absolute || off <= slack.tolerance * Math.abs(expected) ? null : here;
  }
  if (expected === null || typeof expected !== 'object') return expected === actual ? null : here;
  if (actual === null || typeof actual !== 'object') return here;
  if (Array.isArray(expected) && !Array.isArray(actual)) return here;
  for (const [key, value] of Object.entries(expected)) {
    const why = disagreement(value, (actual as Record<string, unknown>)[key], { path: path ? `${path}.${key}` : key, slack });
    if (why !== null) return why;
  }
  return null;
}
