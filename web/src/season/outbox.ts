import type { DehydratedState, QueryClient } from '@tanstack/react-query';
import { persistQueryClient, type PersistedClient, type Persister } from '@tanstack/react-query-persist-client';

/**
 * Changes on their way are kept over a reload, each window's under a name of its own. A window holds a lock on its name as
 * long as it lives, so that another takes over only what a window that is gone has left.
 */
const PREFIX = 'jolly-penny-outbox-';
const NAME = 'jolly-penny-window';

/** True where nobody else holds the name; it is held from then on, until this window is gone. */
const hold = (name: string): Promise<boolean> =>
  new Promise((resolve) => {
    if (!('locks' in navigator)) return resolve(name === sessionStorage.getItem(NAME));
    void navigator.locks.request(PREFIX + name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise(() => undefined);
    });
  });

/** The name this window had before a reload, or a new one; a copied window gets one of its own. */
async function windowName(): Promise<string> {
  const before = sessionStorage.getItem(NAME);
  const name = before !== null && (await hold(before)) ? before : Math.random().toString(36).slice(2);
  if (name !== before) {
    sessionStorage.setItem(NAME, name);
    await hold(name);
  }
  return name;
}

type Mutations = DehydratedState['mutations'];

function read(key: string): Mutations {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? '[]') as { clientState: DehydratedState }).clientState.mutations;
  } catch {
    return []; // What cannot be read cannot be sent.
  }
}

/** What this window and windows that are gone left behind. */
async function leftBehind(name: string): Promise<Mutations> {
  const left = read(PREFIX + name);
  for (const key of Object.keys(localStorage).filter((one) => one.startsWith(PREFIX) && one !== PREFIX + name)) {
    if (!(await hold(key.slice(PREFIX.length)))) continue;
    left.push(...read(key));
    localStorage.removeItem(key);
  }
  return left;
}

function persister(name: string): Persister {
  const key = PREFIX + name;
  return {
    persistClient: (client: PersistedClient) => {
      const mutations = client.clientState.mutations.map((one) => ({ ...one, state: { ...one.state, isPaused: true } }));
      if (mutations.length === 0) localStorage.removeItem(key);
      else localStorage.setItem(key, JSON.stringify({ ...client, clientState: { queries: [], mutations } }));
    },
    restoreClient: async () => {
      const mutations = await leftBehind(name);
      return { timestamp: Date.now(), buster: '', clientState: { queries: [], mutations } };
    },
    removeClient: () => localStorage.removeItem(key),
  };
}

/** Keeps what is on its way, and sends what was left behind. Setting what is set already changes nothing. */
export async function keepOutbox(client: QueryClient, kinds: readonly string[]): Promise<void> {
  const [, restored] = persistQueryClient({
    queryClient: client,
    persister: persister(await windowName()),
    maxAge: Infinity,
    dehydrateOptions: {
      shouldDehydrateQuery: () => false,
      shouldDehydrateMutation: ({ options, state }) =>
        kinds.includes(String(options.mutationKey?.[0])) && state.status === 'pending',
    },
  });
  await restored;
  await client.resumePausedMutations();
}
