import { QueryClientProvider, type QueryClient } from '@tanstack/react-query';
import { act } from 'react';
import { createRoot } from 'react-dom/client';
import { MemoryRouter } from 'react-router';
import { keepLog } from '../../web/src/season/logbox';
import { rememberBuying } from '../../web/src/season/purchases';
import { newQueryClient } from '../../web/src/season/queue';
import { App } from '../../web/src/shell/App';
import { screens } from '../../web/src/shell/screens';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

/** Until nothing is asked and nothing is on its way. */
export async function settle(queries: QueryClient, least = 3, most = 400) {
  for (let quiet = 0, turns = 0; quiet < least && turns < most; turns++) {
    await act(async () => new Promise((done) => setTimeout(done, 2)));
    quiet = queries.isFetching() > 0 || queries.isMutating() > 0 || document.querySelector('[aria-busy="true"]') ? 0 : quiet + 1;
  }
}

export interface Drawn {
  place: HTMLElement;
  queries: QueryClient;
  close: () => Promise<void>;
}

/** The whole application at an address. */
export async function draw(address: string): Promise<Drawn> {
  // A press that leads to another screen finds it there.
  await Promise.all(Object.values(screens).map((load) => load()));
  const place = document.createElement('div');
  document.body.append(place);
  const queries = newQueryClient();
  queries.setDefaultOptions({ queries: { ...queries.getDefaultOptions().queries, retry: false } });
  rememberBuying(queries);
  keepLog(queries);
  const root = createRoot(place);
  await act(async () =>
    root.render(
      <QueryClientProvider client={queries}>
        <MemoryRouter initialEntries={[address]}>
          <App />
        </MemoryRouter>
      </QueryClientProvider>,
    ),
  );
  await settle(queries, 8, 600);
  return {
    place,
    queries,
    close: async () => {
      await act(async () => root.unmount());
      queries.clear();
      document.body.replaceChildren();
    },
  };
}
