import { useState } from 'react';
import type { LogEntry, RowPicture } from '../../api/types';
import { CAUSES, kindWords } from '../../words/log';
import { CountBox } from '../today/CountBox';
import s from './trays.module.css';

const KINDS = ['lost', 'thinned', 'pricked_out', 'potted_on', 'hardened', 'planted', 'given', 'sold', 'composted'] as const;

interface Props {
  name: string;
  us: boolean;
  run: RowPicture;
  /** Plants of the crop that live, where that is known. */
  alive: number | null | undefined;
  write: (fact: Partial<LogEntry> & { kind: LogEntry['kind'] }) => void;
}

/** What has become of plants of a row, and of how many. */
export function Happened({ name, us, run, alive, write }: Props) {
  const [kind, setKind] = useState<LogEntry['kind']>('lost');
  const [cause, setCause] = useState<NonNullable<LogEntry['cause']>>('damping_off');
  return (
    <>
      <h3>Lost, moved or thinned</h3>
      <div className={s.field}>
        <select
          aria-label="What happened"
          name="what"
          value={kind}
          onChange={(event) => setKind(event.target.value as typeof kind)}
        >
          {KINDS.map((one) => (
            <option key={one} value={one}>
              {kindWords(one, us)}
            </option>
          ))}
        </select>
        {kind === 'lost' && (
          <select
            aria-label="Of what"
            name="cause"
            value={cause}
            onChange={(event) => setCause(event.target.value as typeof cause)}
          >
            {CAUSES.map(([key, label]) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        )}
      </div>
      <CountBox
        key={kind}
        name={`${name}, ${kindWords(kind, us)}`}
        value={kind === 'lost' ? 1 : (run.plants ?? alive ?? run.count_of)}
        most={alive ?? 100_000}
        looks={false}
        verb={kindWords(kind, us)}
        save={(count) => write({ kind, count, ...(kind === 'lost' ? { cause } : {}) })}
      />
    </>
  );
}
