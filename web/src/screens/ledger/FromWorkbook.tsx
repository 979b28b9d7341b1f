import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Path, Season } from '../../api/types';
import { coded } from '../../files/coded';
import { useStore } from '../../season/SeasonContext';
import s from './ledger.module.css';

interface FoundChange {
  path: Path;
  label: string;
  from: number;
  to: number;
}

const MOST_BYTES = 4_000_000;

/** A workbook that was changed elsewhere: what is other in it is offered, change by change. */
export function FromWorkbook({ season }: { season: Season }) {
  const store = useStore();
  const [found, setFound] = useState<FoundChange[] | null>(null);
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const [why, setWhy] = useState<string | null>(null);
  const read = async (file: File) => {
    setWhy(null);
    setFound(null);
    if (file.size > MOST_BYTES)
      return setWhy('This file is larger than 4 MB. A workbook of this ledger is smaller: choose another file.');
    try {
      const answer = await answered(
        client.POST('/api/seasons/{season}/workbook', {
          params: { path: { season: store.id } },
          body: { file: await coded(file) },
        }),
      );
      setFound(answer.changes as FoundChange[]);
      setTaken(new Set(answer.changes.map((_, index) => index)));
    } catch (error) {
      setWhy(words(error));
    }
  };
  const take = async () => {
    const chosen = (found ?? []).filter((_, index) => taken.has(index));
    try {
      await store.change(
        chosen.map(({ path, to }) => ({ path, to })),
        'from the workbook',
      );
      setFound(null);
    } catch (error) {
      setWhy(words(error));
    }
  };
  const tick = (index: number) => {
    const next = new Set(taken);
    if (!next.delete(index)) next.add(index);
    setTaken(next);
  };
  return (
    <section aria-labelledby="workbook-title" className={s.workbook}>
      <h2 id="workbook-title">Read a workbook back</h2>
      <p className="quiet">
        Change prices, pack sizes, lifetimes, your hourly value or the discount rate in a spreadsheet program. Read the file back
        here, and choose which changes to keep.
      </p>
      <input
        type="file"
        name="workbook"
        aria-label="A workbook of this ledger"
        accept=".xlsx,.ods"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void read(file);
          event.target.value = '';
        }}
      />
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {found?.length === 0 && <p role="status">The workbook matches this season.</p>}
      {found !== null && found.length > 0 && (
        <Found season={season} found={found} taken={taken} tick={tick} take={() => void take()} />
      )}
    </section>
  );
}

interface FoundProps {
  season: Season;
  found: FoundChange[];
  taken: ReadonlySet<number>;
  tick: (index: number) => void;
  take: () => void;
}

/** What is other in the workbook, each to be taken or left. */
function Found({ season, found, taken, tick, take }: FoundProps) {
  return (
    <form
      data-part="workbook-changes"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <ul className={s.changes}>
        {found.map(({ label, from, to }, index) => (
          <li key={label}>
            <label className="tick">
              <input type="checkbox" checked={taken.has(index)} onChange={() => tick(index)} /> {label}:{' '}
              <span className="mono">{from}</span> becomes <span className="mono">{to}</span>
            </label>
          </li>
        ))}
      </ul>
      <Button htmlType="submit" type="primary" disabled={taken.size === 0}>
        {taken.size === 1 ? 'Take this one' : `Take these ${taken.size}`} into {season.name}
      </Button>
    </form>
  );
}
