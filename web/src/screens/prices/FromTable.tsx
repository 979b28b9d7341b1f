import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { PriceTableRead } from '../../api/types';
import { coded } from '../../files/coded';
import { plural } from '../../words/sowing';
import { ColumnMap, type Asked } from './ColumnMap';
import { ownCurrency } from './defaults';
import { Found } from './Found';
import s from './prices.module.css';

const MOST_BYTES = 4_000_000;

/** A table of prices: looked at first, its columns mapped by hand where their headings say nothing, then kept; nothing twice. */
export function FromTable({ kept }: { kept: () => void }) {
  const [file, setFile] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked>({ currency: ownCurrency(), dates: ownCurrency() === 'USD' ? 'mdy' : 'dmy' });
  const [read, setRead] = useState<PriceTableRead | null>(null);
  const [busy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const look = async (bytes: string, how: Asked, keep: boolean) => {
    setAsked(how);
    setWhy(null);
    setBusy(true);
    try {
      const answer = await answered(client.POST('/api/prices/table', { body: { file: bytes, keep, ...how } }));
      setRead(answer);
      if (keep) {
        setFile(null);
        kept();
      }
    } catch (error) {
      setRead(null);
      setWhy(words(error));
    } finally {
      setBusy(false);
    }
  };
  const choose = async (chosen: File) => {
    if (chosen.size > MOST_BYTES) {
      setRead(null);
      return setWhy('This file is larger than 4 MB. Split it.');
    }
    const bytes = await coded(chosen);
    setFile(bytes);
    await look(bytes, { currency: asked.currency, dates: asked.dates }, false);
  };
  return (
    <section aria-labelledby="table-title" className={s.table} data-part="price-table">
      <h2 id="table-title">Read prices from a table</h2>
      <p className="quiet">
        A CSV file from any program. You see it first and then choose to keep it. A line read twice is kept once.
      </p>
      <input
        type="file"
        name="price-file"
        aria-label="A table of prices"
        accept=".csv,.txt,.tsv,text/csv"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) void choose(chosen);
          event.target.value = '';
        }}
      />
      {busy && <p role="status">Reading…</p>}
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {read?.kept && (
        <p role="status">
          {read.new} {plural(read.new, 'price')} kept{read.known > 0 ? `, ${read.known} were there already` : ''}.
        </p>
      )}
      {read && file !== null && !read.kept && (
        <Preview read={read} asked={asked} busy={busy} look={(how, keep) => void look(file, how, keep)} />
      )}
    </section>
  );
}

interface PreviewProps {
  read: PriceTableRead;
  asked: Asked;
  busy: boolean;
  look: (how: Asked, keep: boolean) => void;
}

/** What was found, which column says what, and the way to keep it. */
function Preview({ read, asked, busy, look }: PreviewProps) {
  return (
    <div data-part="price-preview">
      <ColumnMap read={read} asked={asked} again={(how) => look(how, false)} />
      {(read.map['name'] === undefined || read.map['price'] === undefined) && (
        <p className="trouble" role="alert">
          Say which column holds what it is, and which its price.
        </p>
      )}
      <Found read={read} />
      <Button type="primary" disabled={read.new === 0} loading={busy} onClick={() => look({ ...asked, map: read.map }, true)}>
        Keep {read.new} {plural(read.new, 'price')}
      </Button>
    </div>
  );
}
