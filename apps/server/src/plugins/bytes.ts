import type { FastifyInstance } from 'fastify';

/** Within this scope a body is taken as the bytes that came, whatever it calls itself. */
export function takeBytes(scope: Pick<FastifyInstance, 'removeAllContentTypeParsers' | 'addContentTypeParser'>, bodyLimit: number): void {
  scope.removeAllContentTypeParsers();
  scope.addContentTypeParser('*', { parseAs: 'buffer', bodyLimit }, (_request, body, done) => done(null, body));
}

/** Within this scope a body is handed on as it comes, whatever it calls itself; whoever takes it counts it. */
export function takeStream(scope: Pick<FastifyInstance, 'removeAllContentTypeParsers' | 'addContentTypeParser'>, bodyLimit: number): void {
  scope.removeAllContentTypeParsers();
  scope.addContentTypeParser('*', { bodyLimit }, (_request, body, done) => done(null, body));
}
