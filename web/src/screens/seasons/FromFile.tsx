import { useState } from 'react';
import { answered, client, Refusal, words } from '../../api/client';
import type { Fault } from '../../api/types';
import { faultPlace, type FaultPlace } from './faultPlace';
import s from './seasons.module.css';

interface Refused {
  said: string;
  faults: (Fault & FaultPlace)[];
}

/** A season file from this device; what is wrong with it stands beside what caused it. */
export function FromFile({ made }: { made: (id: number) => void }) {
  const [refused, setRefused] = useState<Refused | null>(null);
  const [busy, setBusy] = useState(false);
  const read = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    setRefused(null);
    const text = await file.text();
    try {
      made((await answered(client.POST('/api/seasons', { body: { from: 'file', text } }))).id);
    } catch (error) {
      const faults = error instanceof Refusal ? (error.problem.faults ?? []) : [];
      setRefused({
        said:
          faults.length > 0
            ? `“${file.name}” cannot be used: ${faults.length === 1 ? 'one thing is' : `${faults.length} things are`} wrong with it.`
            : words(error),
        faults: faults.map((fault) => ({ ...fault, ...faultPlace(text, fault.path) })),
      });
    } finally {
      setBusy(false);
    }
  };
  return (
    <div
      className={s.fromFile}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void read(event.dataTransfer.files[0]);
      }}
    >
      <label className={s.file}>
        Choose a file, or drop it here
        <input
          type="file"
          name="file"
          accept=".json,application/json"
          disabled={busy}
          onChange={(event) => {
            void read(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      {busy && <p role="status">Reading it…</p>}
      {refused && (
        <div role="alert" className={s.faults} data-part="faults">
          <p className="trouble">{refused.said}</p>
          <ul>
            {refused.faults.map((fault) => (
              <li key={fault.path + fault.problem}>
                <b>{fault.place}</b>
                {fault.value !== null && (
                  <>
                    {' '}
                    says <code>{fault.value}</code>
                  </>
                )}
                : {fault.problem} {fault.remedy}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
