import type { Change, Path, ProblemDetails, SeasonLine, SeasonState, Working } from './types';

/** A refusal with words for the person; `status` 0 is a server that does not answer. */
export class Refusal extends Error {
  constructor(readonly problem: ProblemDetails) {
    super(problem.detail);
  }
}

const AWAY: ProblemDetails = { title: 'No answer', status: 0, detail: 'The server does not answer. Your last value is kept here; try again in a moment.' };

async function call<T>(method: string, url: string, body?: unknown): Promise<T> {
  const headers: Record<string, string> = { Accept: 'application/json' };
  const token = document.querySelector<HTMLMetaElement>('meta[name="csrf-token"]')?.content;
  if (token) headers['X-CSRF-TOKEN'] = token;
  if (body !== undefined) headers['Content-Type'] = 'application/json';
  let response: Response;
  try {
    response = await fetch(url, { method, headers, body: body === undefined ? undefined : JSON.stringify(body) });
  } catch {
    throw new Refusal(AWAY);
  }
  const answer: unknown = await response.json().catch(() => null);
  if (!response.ok || answer === null) {
    throw new Refusal((answer as ProblemDetails | null) ?? { ...AWAY, status: response.status });
  }
  return answer as T;
}

const setupQuery = (setup: string | null) => (setup === null ? '' : `?setup=${encodeURIComponent(setup)}`);

export const api = {
  seasons: () => call<{ seasons: SeasonLine[] }>('GET', '/api/seasons'),
  season: (id: number, setup: string | null) => call<SeasonState>('GET', `/api/seasons/${id}${setupQuery(setup)}`),
  change: (id: number, changes: Change[], setup: string | null) =>
    call<SeasonState>('PATCH', `/api/seasons/${id}`, { changes, setup }),
  working: (id: number, setup: string, figure: string, crop: string | null) =>
    call<Working>('GET', `/api/seasons/${id}/setups/${encodeURIComponent(setup)}/workings/${figure}${crop === null ? '' : `?crop=${encodeURIComponent(crop)}`}`),
};

/** The value at a path of the season: list rows by their id. */
export function at(root: unknown, path: Path): unknown {
  return path.reduce<unknown>((value, key) => {
    if (Array.isArray(value)) return typeof key === 'number' ? value[key] : value.find((row: { id?: string }) => row.id === key);
    return value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined;
  }, root);
}
