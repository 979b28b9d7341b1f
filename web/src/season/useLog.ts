import { useSyncExternalStore } from 'react';
import type { Job, LogEntry } from '../api/types';
import { logbox, type Waiting } from './logbox';

/** What of a season waits on this device to be sent, and what the server did not take. */
export function useLog(season: number): { waiting: Waiting[]; refused: Waiting[]; entries: LogEntry[] } {
  const all = useSyncExternalStore(logbox.subscribe, logbox.get).filter((one) => one.season === season);
  const waiting = all.filter(({ why }) => why === undefined);
  return {
    waiting,
    refused: all.filter(({ why }) => why !== undefined),
    entries: waiting.flatMap(({ entry }) => (entry ? [entry] : [])),
  };
}

/** The jobs as the server has them, with what waits on top. */
export function withWaiting(jobs: Job[], entries: LogEntry[]): Job[] {
  if (entries.length === 0) return jobs;
  return jobs.map((job) =>
    entries.reduce<Job>((now, entry) => {
      if (entry.kind === 'undo') {
        if (!now.entries.some((id) => id === entry.corrects)) return now;
        const left = now.entries.filter((id) => id !== entry.corrects);
        return left.length > 0 ? { ...now, entries: left } : { ...now, done_on: null, entries: [], counted: null };
      }
      if (entry.job !== job.id) return now;
      if (entry.kind === 'put_off')
        return entry.until ? { ...now, date: entry.until, until: later(now.until, entry.until) } : now;
      // A sowing in several trays is one thing done by several entries.
      const isMore = now.done_on === entry.on && entry.kind === 'sown' && now.entries.length > 0;
      return {
        ...now,
        done_on: entry.on,
        entries: [...new Set([...(isMore ? now.entries : []), entry.id])],
        counted: entry.count == null ? null : entry.count + (isMore ? (now.counted ?? 0) : 0),
      };
    }, job),
  );
}

const later = (a: string, b: string): string => (a > b ? a : b);
