import createClient from 'openapi-fetch';
import type { paths } from './schema';
import type { Problem } from './types';

/** A refusal with words for the person; `status` 0 is a server that does not answer. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }

  /** Nobody is there, or nobody who could say so: try again later. */
  get away(): boolean {
    return [0, 502, 503, 504].includes(this.problem.status);
  }
}

const AWAY: Problem = { type: 'about:blank', title: 'No answer', status: 0, detail: 'The server does not answer. What you typed is kept here and sent when it is back.' };

const cookie = (name: string): string | undefined => document.cookie.split('; ').find((pair) => pair.startsWith(`${name}=`))?.slice(name.length + 1);

const client = createClient<paths>({ baseUrl: window.location.origin, headers: { Accept: 'application/json' } });
client.use({
  onRequest({ request }) {
    const token = cookie('XSRF-TOKEN');
    if (token !== undefined) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    return request;
  },
  onError: () => new Refusal(AWAY),
});

export { client };

interface Answer<T> { data?: T; error?: unknown; response: Response }

/** What was asked for, or a refusal. */
export async function answered<T>(asked: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await asked;
  } catch (error) {
    throw error instanceof Refusal ? error : new Refusal(AWAY);
  }
  if (answer.response.ok) return answer.data as T;
  const said = answer.error;
  const problem = said !== null && typeof said === 'object' && 'detail' in said ? said as Problem : { ...AWAY, status: answer.response.status };
  throw new Refusal(problem);
}

export const words = (error: unknown): string => (error instanceof Refusal ? error.message : 'That did not work. Try again.');
