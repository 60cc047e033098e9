import { PERSON_HEADER, problem } from '@patient-badger/contract';
import type { z } from 'zod';
import { currentPerson } from './person.ts';

/** A refusal of the server, in its own sentence. */
export class ApiRefusal extends Error {
  readonly status: number;
  readonly path: string | undefined;
  constructor(status: number, sentence: string, path?: string) {
    super(sentence);
    this.status = status;
    this.path = path;
  }
}

/** No answer at all: the server cannot be reached. Worth trying again. */
export class NoAnswer extends Error {
  constructor() {
    super('The shop server cannot be reached just now.');
  }
}

interface Call {
  readonly method?: 'GET' | 'POST';
  readonly json?: unknown;
  readonly bytes?: Blob;
  readonly person?: string | null;
}

/** One call to the server; the answer is checked before a screen sees it. */
export async function call<T extends z.ZodType>(path: string, answer: T, { method, json, bytes, person }: Call = {}): Promise<z.output<T>> {
  const body = bytes ?? (json === undefined ? undefined : JSON.stringify(json));
  const who = person === undefined ? currentPerson() : person;
  const response = await fetch(path, {
    method: method ?? (body === undefined ? 'GET' : 'POST'),
    ...(body !== undefined && { body }),
    headers: {
      ...(bytes ? { 'content-type': bytes.type || 'application/octet-stream' } : {}),
      ...(json === undefined ? {} : { 'content-type': 'application/json' }),
      ...(who ? { [PERSON_HEADER]: who } : {}),
    },
  }).catch(() => {
    throw new NoAnswer();
  });
  const text = await response.text();
  const parsed: unknown = parse(text);
  if (response.ok) return answer.parse(parsed);
  const refused = problem.safeParse(parsed);
  throw new ApiRefusal(
    response.status,
    refused.success ? refused.data.sentence : 'The shop server gave an answer that cannot be read.',
    refused.data?.path,
  );
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
