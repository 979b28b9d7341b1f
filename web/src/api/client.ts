import createClient from 'openapi-fetch';
import { connection } from './connection';
import type { paths } from './schema.generated';
import type { Problem } from './types';

/** A refusal with words for the person; `status` 0 is a server that does not answer. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }

  /** It was deleted, and can be had back. */
  get gone(): boolean {
    return this.problem.status === 410;
  }

  /** Nobody is there, or nobody who could say so: try again later. */
  get away(): boolean {
    return [0, 502, 503, 504].includes(this.problem.status);
  }
}

const AWAY: Problem = {
  type: 'about:blank',
  title: 'No answer',
  status: 0,
  detail: 'The server does not answer. What you typed is still here: try again when it is back.',
};

/** Each copy of the application on a host has cookies of its own names. */
const TOKEN = `XSRF-TOKEN-${document.querySelector<HTMLMetaElement>('meta[name="instance"]')?.content ?? ''}`;

const cookie = (name: string): string | undefined =>
  document.cookie
    .split('; ')
    .find((pair) => pair.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/** The newest revision of each season that this page has seen: what answers must not be older. */
export const seen = new Map<string, number>();

function withToken(request: Request): Request {
  const revision = seen.get(/\/api\/seasons\/(\d+)/.exec(request.url)?.[1] ?? '');
  if (revision !== undefined) request.headers.set('X-Revision', String(revision));
  const token = cookie(TOKEN);
  if (token !== undefined) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
  return request;
}

/** Where the session is over (419), a new one is asked for and the request is sent once more. */
async function send(request: Request): Promise<Response> {
  const again = request.clone();
  const response = await fetch(withToken(request));
  if (response.status !== 419) return response;
  await fetch('/api/account', { headers: { Accept: 'application/json' } });
  return fetch(withToken(again));
}

const client = createClient<paths>({ baseUrl: window.location.origin, headers: { Accept: 'application/json' }, fetch: send });
client.use({ onError: () => new Refusal(AWAY) });

export { client };

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** What was asked for, or a refusal. */
export async function answered<T>(asked: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await asked;
  } catch (error) {
    connection.lost();
    throw error instanceof Refusal ? error : new Refusal(AWAY);
  }
  if (answer.response.ok) {
    connection.found();
    return answer.data as T;
  }
  const said = answer.error;
  const problem =
    said !== null && typeof said === 'object' && 'detail' in said
      ? (said as Problem)
      : { ...AWAY, status: answer.response.status };
  const refusal = new Refusal(problem);
  if (refusal.away) connection.lost();
  throw refusal;
}

/** What it would have said had it been asked. */
export const awayRefusal = (): Refusal => new Refusal(AWAY);

/** Worth asking again by itself: nobody is there, or too much was asked at once. */
export const worthRetrying = (error: unknown): boolean =>
  error instanceof Refusal && (error.away || error.problem.status === 429);

/** Somebody is there, and failed: what was sent may be right. */
export const isFailure = (error: unknown): boolean => error instanceof Refusal && error.problem.status >= 500;

export const words = (error: unknown): string => (error instanceof Refusal ? error.message : 'That did not work. Try again.');
