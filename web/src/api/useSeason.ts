import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from './client';
import type { Path, SeasonState, Till } from './types';

/** What the last change did to the till. */
export interface LastChange { label: string; before: Till }

export function useSeasonId() {
  return useQuery({ queryKey: ['seasons'], queryFn: api.seasons, select: (answer) => answer.seasons[0]?.id ?? null });
}

export function useSeason(id: number | null) {
  return useQuery({ queryKey: ['season', id], queryFn: () => api.season(id as number, null), enabled: id !== null });
}

/** Saves a value and takes in the new figures, in one round trip; changes are sent one after the other. */
export function useChange(id: number | null, till: (state: SeasonState) => Till | undefined) {
  const client = useQueryClient();
  const [last, setLast] = useState<LastChange | null>(null);
  const mutation = useMutation({
    scope: { id: `season-${id ?? 0}` },
    mutationFn: ({ path, to }: { path: Path; to: unknown; label: string }) => {
      const state = client.getQueryData<SeasonState>(['season', id]);
      return api.change(id as number, [{ path, from: at(state?.season, path) ?? null, to }], null);
    },
    onSuccess: (state, { label }) => {
      const old = client.getQueryData<SeasonState>(['season', id]);
      const before = old && till(old);
      if (before) setLast({ label, before });
      client.setQueryData(['season', id], state);
      void client.invalidateQueries({ queryKey: ['working'] });
    },
  });
  return { change: mutation.mutateAsync, last, saving: mutation.isPending };
}
