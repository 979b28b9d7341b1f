import { replaceEqualDeep } from '@tanstack/react-query';
import { answered, client, Refusal } from '../api/client';
import type { Conflict, Path, Season, SeasonState, Till } from '../api/types';
import { at, put } from './document';
import { adoptOutbox, keepOutbox, type Pending } from './outbox';

/** What the last change did to the till. */
export interface LastChange { label: string; before: Till; after: Till }

export interface Snapshot {
  state: SeasonState | null;
  /** The season as it is shown: what the server has, and what is on its way there. */
  season: Season | null;
  setup: string | null;
  status: 'fetching' | 'saved' | 'saving' | 'away' | 'missing';
  waiting: number;
  last: LastChange | null;
  conflict: { pending: Pending; conflicts: Conflict[] } | null;
  /** A value that was kept while the server was away and could not be used after all. */
  refused: string | null;
}

interface Waiter { resolve: () => void; reject: (error: unknown) => void }

const RETRY_MS = 3000;
const setupKey = (id: number): string => `jolly-penny-setup-${id}`;

/**
 * One season in this window. Changes show at once, are sent one after the other, and are kept while the server is away; a
 * change that meets another window's is laid before the person.
 */
export class SeasonStore {
  private snapshot: Snapshot = { state: null, season: null, setup: null, status: 'fetching', waiting: 0, last: null, conflict: null, refused: null };
  private readonly listeners = new Set<() => void>();
  private readonly waiters = new Map<string, Waiter>();
  private outbox: Pending[] = [];
  private sending = false;
  private retry: number | undefined;

  constructor(readonly id: number) {
    this.outbox = adoptOutbox(id);
    this.snapshot = { ...this.snapshot, setup: localStorage.getItem(setupKey(id)) };
  }

  start(): void {
    window.addEventListener('online', this.wake);
    window.addEventListener('focus', this.lookAgain);
    void this.load();
  }

  dispose(): void {
    window.removeEventListener('online', this.wake);
    window.removeEventListener('focus', this.lookAgain);
    window.clearTimeout(this.retry);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly get = (): Snapshot => this.snapshot;

  async load(setup: string | null = this.snapshot.setup): Promise<void> {
    try {
      this.take(await answered(client.GET('/api/seasons/{season}', { params: { path: { season: this.id }, query: { setup: setup ?? undefined } } })));
      void this.flush();
    } catch (error) {
      if (error instanceof Refusal && error.problem.status === 404 && setup !== null) return this.forgetSetup();
      this.set({ status: error instanceof Refusal && error.away ? 'away' : 'missing' });
      if (error instanceof Refusal && error.away) this.later();
    }
  }

  /** Another set-up on screen. */
  async show(setup: string): Promise<void> {
    localStorage.setItem(setupKey(this.id), setup);
    this.set({ setup, last: null });
    await this.load(setup);
  }

  /** Saves values; resolves when they are saved, or kept for a server that is away. Rejects what cannot be used. */
  change(changes: { path: Path; to: unknown }[], label: string): Promise<void> {
    const season = this.snapshot.season;
    const pending: Pending = { id: crypto.randomUUID?.() ?? String(Math.random()), label, changes: changes.map(({ path, to }) => ({ path, from: at(season, path) ?? null, to })) };
    this.outbox.push(pending);
    this.refresh();
    return new Promise((resolve, reject) => {
      this.waiters.set(pending.id, { resolve, reject });
      void this.flush();
    });
  }

  /** Something the server makes of the season: crops added, rounds, undo. */
  async run(label: string, ask: () => Promise<SeasonState>): Promise<SeasonState> {
    await this.flush();
    this.set({ status: 'saving' });
    try {
      const state = await ask();
      this.take(state, label);
      return state;
    } finally {
      this.set({ status: this.outbox.length > 0 ? this.snapshot.status : 'saved' });
    }
  }

  undo(): Promise<SeasonState> {
    return this.step('/api/seasons/{season}/undo', `undone: ${this.snapshot.state?.history.undo ?? ''}`);
  }

  redo(): Promise<SeasonState> {
    return this.step('/api/seasons/{season}/redo', this.snapshot.state?.history.redo ?? 'again');
  }

  /** The choice where two windows changed the same: mine again on top of theirs, or theirs. */
  async choose(mine: boolean): Promise<void> {
    const { conflict } = this.snapshot;
    if (conflict === null) return;
    const waiter = this.waiters.get(conflict.pending.id);
    this.outbox = this.outbox.filter(({ id }) => id !== conflict.pending.id);
    if (mine) {
      const theirs = (path: Path) => conflict.conflicts.find((one) => JSON.stringify(one.path) === JSON.stringify(path));
      this.outbox.unshift({ ...conflict.pending, changes: conflict.pending.changes.map((change) => {
        const found = theirs(change.path);
        return found ? { ...change, from: found.theirs } : change;
      }) });
    } else {
      this.waiters.delete(conflict.pending.id);
      waiter?.resolve();
    }
    this.set({ conflict: null });
    await this.load();
  }

  dismissRefused(): void {
    this.set({ refused: null });
  }

  private step(path: '/api/seasons/{season}/undo' | '/api/seasons/{season}/redo', label: string): Promise<SeasonState> {
    return this.run(label, () => answered(client.POST(path, { params: { path: { season: this.id }, query: { setup: this.snapshot.setup ?? undefined } } })));
  }

  private async flush(): Promise<void> {
    if (this.sending || this.snapshot.conflict !== null || this.snapshot.state === null) return;
    this.sending = true;
    window.clearTimeout(this.retry);
    try {
      for (let pending = this.outbox[0]; pending !== undefined; pending = this.outbox[0]) {
        this.set({ status: this.snapshot.status === 'away' ? 'away' : 'saving' });
        if (!(await this.send(pending))) return;
      }
      this.set({ status: 'saved' });
    } finally {
      this.sending = false;
    }
  }

  /** False where nothing more can be sent now. */
  private async send(pending: Pending): Promise<boolean> {
    const waiter = this.waiters.get(pending.id);
    try {
      const state = await answered(client.PATCH('/api/seasons/{season}', { params: { path: { season: this.id } },
        body: { changes: pending.changes, label: pending.label, setup: this.snapshot.setup } }));
      this.done(pending);
      this.take(state, pending.label);
      waiter?.resolve();
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.away || error.problem.status === 429) {
        this.set({ status: 'away' });
        waiter?.resolve();
        this.later();
        return false;
      }
      if (error.problem.status === 409 && error.problem.conflicts) {
        this.set({ status: 'saved', conflict: { pending, conflicts: error.problem.conflicts } });
        return false;
      }
      this.done(pending);
      this.refresh();
      if (waiter) waiter.reject(error);
      else this.set({ refused: `${pending.label}: ${error.message}` });
      return true;
    }
  }

  private done(pending: Pending): void {
    this.outbox = this.outbox.filter(({ id }) => id !== pending.id);
    this.waiters.delete(pending.id);
  }

  private later(): void {
    window.clearTimeout(this.retry);
    this.retry = window.setTimeout(this.wake, RETRY_MS);
  }

  private readonly wake = (): void => {
    if (this.snapshot.state === null) void this.load();
    else void this.flush();
  };

  /** Back in this window: another one may have changed the season. */
  private readonly lookAgain = (): void => {
    if (this.snapshot.state !== null && !this.sending && this.outbox.length === 0 && this.snapshot.conflict === null) void this.load();
  };

  private async forgetSetup(): Promise<void> {
    localStorage.removeItem(setupKey(this.id));
    this.set({ setup: null });
    await this.load(null);
  }

  private take(state: SeasonState, label?: string): void {
    const old = this.snapshot.state;
    const next = old === null ? state : replaceEqualDeep(old, state) as SeasonState;
    const wish = this.snapshot.setup;
    // A set-up that was taken out, or whose adding was undone, gives way to the one that came instead.
    const setup = next.result.setups.some(({ id }) => id === wish) ? wish : next.result.setups[0]?.id ?? null;
    if (setup !== null && setup !== wish) localStorage.setItem(setupKey(this.id), setup);
    const before = setup === null ? undefined : old?.pictures[setup]?.till;
    const after = setup === null ? undefined : next.pictures[setup]?.till;
    const last = label !== undefined && before && after ? { label, before, after } : this.snapshot.last;
    this.set({ state: next, setup, last, status: this.snapshot.status === 'saving' ? 'saving' : 'saved' });
    this.refresh();
  }

  /** Shows what is on its way on top of what the server has. */
  private refresh(): void {
    keepOutbox(this.id, this.outbox);
    const base = this.snapshot.state?.season ?? null;
    const season = base === null ? null : this.outbox.reduce((shown, pending) => pending.changes.reduce((doc, { path, to }) => put(doc, path, to), shown), base);
    this.set({ season, waiting: this.outbox.length });
  }

  private set(change: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...change };
    this.listeners.forEach((listener) => listener());
  }
}
