import { CoreFailure } from '@patient-badger/core';
import type { Problem, ProblemCode } from '@patient-badger/contract';
import { failureSentence, problemSentence } from '@patient-badger/wording';
import type { FastifyError, FastifyInstance, FastifyReply } from 'fastify';
import fp from 'fastify-plugin';
import { PROBLEM_STATUS, ServerProblem } from '../problems.ts';
import { isDatabaseAway, isRecordReadOnly, isRefusedByColumn } from './databaseErrors.ts';

/** One way out for everything that goes wrong: a code, a path, a sentence. */
export const errors = fp(async (app: FastifyInstance) => {
  app.setErrorHandler((error: FastifyError, request, reply) => {
    const problem = problemOf(error);
    if (problem.status >= 500) request.log.error(traceOf(error), 'the request failed');
    return send(reply, problem);
  });
  app.setNotFoundHandler((_request, reply) => send(reply, standard('notFound')));
});

/**
 * What of an error goes to the log: kind, code and where it arose. Messages and parameters of a database carry
 * what people wrote and whose machine it is, and stay out of it. Exported for its test.
 */
export function traceOf(error: FastifyError | Error): Readonly<Record<string, unknown>> {
  const { name, stack = '' } = error;
  const driver = (error as { driverError?: { code?: string; table?: string; constraint?: string } }).driverError;
  return {
    kind: name,
    code: driver?.code ?? (error as FastifyError).code,
    table: driver?.table,
    constraint: driver?.constraint,
    at: stack
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12),
  };
}

/** An address that cannot be read at all, such as one that ends within a sign: refused before there is a route. */
export const refuseAddress = (_error: Error, _request: unknown, reply: FastifyReply): void => {
  void send(reply, standard('notFound'));
};

type Answer = Problem & { readonly status: number };

const send = (reply: FastifyReply, { status, ...body }: Answer) => reply.status(status).send(body);

function problemOf(error: FastifyError | Error): Answer {
  // Wrong in shape: the request never reached the route. Wrong in substance: the core refused it.
  const status = 'validationContext' in error ? 400 : 422;
  if (error instanceof CoreFailure) return { status, code: error.code, path: error.path, sentence: failureSentence(error) };
  if (error instanceof ServerProblem) {
    return { status: PROBLEM_STATUS[error.code], code: error.code, ...(error.path && { path: error.path }), sentence: error.message };
  }
  if (isDatabaseAway(error)) return standard('databaseAway');
  if (isRecordReadOnly(error)) return standard('recordReadOnly');
  if (isRefusedByColumn(error)) return standard('cannotBeKept');
  const { statusCode, code } = error as FastifyError;
  if (code === 'FST_ERR_CTP_BODY_TOO_LARGE') return standard('bodyTooLarge');
  if (statusCode === 429) return standard('tooMany');
  if (statusCode && statusCode < 500) return { ...standard('invalidInput'), status: statusCode };
  return standard('broken');
}

const standard = (code: ProblemCode): Answer => ({ code, status: PROBLEM_STATUS[code], sentence: problemSentence(code) });
