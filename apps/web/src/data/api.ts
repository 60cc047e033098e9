import { t } from '@patient-badger/wording/shared';
import { takeEarly, type Answer } from './early.ts';
import { currentPerson } from './person.ts';
import { signedOut, standing } from './signedOut.ts';

/** The header that says who wrote what is sent; the contract has it too, and a test holds them together. */
export const PERSON_HEADER = 'x-person';

/** A refusal of the shop server, in its own sentence. */
export class ApiRefusal extends Error {
  readonly status: number;
  readonly code: string;
  readonly path: string | undefined;
  constructor(status: number, { code, sentence, path }: Refusal) {
    super(sentence);
    this.status = status;
    this.code = code;
    this.path = path;
  }
}

interface Refusal {
  readonly code: string;
  readonly sentence: string;
  readonly path: string | undefined;
}

/** No answer of the shop server: it cannot be reached, or something on the way answered in its place. Worth trying again. */
export class NoAnswer extends Error {
  constructor() {
    super(t.theShopServerCannotBe);
  }
}

/** The shop server answered, in a form that this app does not read: one of the two is of another version. */
export class StrangeAnswer extends NoAnswer {
  override readonly message = t.theShopServerAnswersOtherwise;
}

/** Reads an answer, and throws where it is none: a Zod schema, or a check of the few fields that a first screen needs. */
export interface Reader<T> {
  parse(given: unknown): T;
}

interface Call {
  readonly method?: 'GET' | 'POST';
  readonly json?: unknown;
  readonly bytes?: Blob;
  readonly person?: string | null;
  readonly deadlineMs?: number;
}

const DEADLINE_MS = 30_000;

/** One call to the server; the answer is checked before a screen sees it. @throws ApiRefusal, NoAnswer */
export async function call<T>(
  path: string,
  answer: Reader<T>,
  { method, json, bytes, person, deadlineMs = DEADLINE_MS }: Call = {},
): Promise<T> {
  const body = bytes ?? (json === undefined ? undefined : JSON.stringify(json));
  const who = person === undefined ? provenHere() : person;
  const stop = new AbortController();
  const timer = setTimeout(() => stop.abort(), deadlineMs);
  try {
    const asked = body === undefined && who === null ? await takeEarly(path) : null;
    const { ok, status, text } =
      asked ??
      (await read(path, {
        method: method ?? (body === undefined ? 'GET' : 'POST'),
        ...(body !== undefined && { body }),
        signal: stop.signal,
        headers: {
          ...(bytes ? { 'content-type': bytes.type || 'application/octet-stream' } : {}),
          ...(json === undefined ? {} : { 'content-type': 'application/json' }),
          ...(who ? { [PERSON_HEADER]: who } : {}),
        },
      }));
    const given: unknown = JSON.parse(text);
    if (ok) return readBy(answer, given);
    const refusal = readRefusal(given);
    if (refusal.code === 'signInFirst') signedOut();
    throw new ApiRefusal(status, refusal);
  } catch (error) {
    if (error instanceof ApiRefusal || error instanceof StrangeAnswer) throw error;
    // A portal's page, a proxy's word, half an answer: none of them is the shop server's.
    throw new NoAnswer();
  } finally {
    clearTimeout(timer);
  }
}

/** @throws StrangeAnswer where it is data, and not what was asked for */
function readBy<T>(answer: Reader<T>, given: unknown): T {
  try {
    return answer.parse(given);
  } catch {
    throw new StrangeAnswer();
  }
}

const read = async (path: string, asked: RequestInit): Promise<Answer> => {
  const response = await fetch(path, asked);
  return { ok: response.ok, status: response.status, text: await response.text() };
};

/** What stands at an address as it is: a file that goes on to another program. @throws ApiRefusal, NoAnswer */
export async function callText(path: string): Promise<string> {
  const { ok, status, text } = await read(path, { signal: AbortSignal.timeout(DEADLINE_MS) }).catch(() => {
    throw new NoAnswer();
  });
  if (ok) return text;
  throw new ApiRefusal(status, readRefusal(JSON.parse(text)));
}

/** Whoever has the device, once they have shown that it is them; until then what is read is read under whoever it was before. */
function provenHere(): string | null {
  const person = currentPerson();
  return person !== null && standing.get()?.proven.includes(person) ? person : null;
}

/** Every refusal of the shop server has a code and a sentence. @throws where it is somebody else's */
function readRefusal(given: unknown): Refusal {
  const { code, sentence, path } = given as Partial<Record<string, unknown>>;
  if (typeof code !== 'string' || typeof sentence !== 'string') throw new NoAnswer();
  return { code, sentence, path: typeof path === 'string' ? path : undefined };
}
