import { useState } from 'react';
import { logbox } from '../../season/logbox';
import { entryWords } from '../../words/log';
import { fromUnit } from '../../words/units';
import s from './today.module.css';

/** What no job asks for: a reading, or a note. */
export function WriteDown({ season, date, us }: { season: number; date: string; us: boolean }) {
  const [kind, setKind] = useState<'note' | 'air_c' | 'soil_c' | 'kWh'>('note');
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const write = () => {
    const amount = Number(text.replace(',', '.'));
    if (text.trim() === '') return setSaid('Type a note or a reading first.');
    if (kind !== 'note' && !Number.isFinite(amount)) return setSaid('Type the reading as a number, for example 21.5.');
    const entry =
      kind === 'note'
        ? { on: date, kind: 'note' as const, note: text.trim().slice(0, 1000) }
        : {
            on: date,
            kind: 'reading' as const,
            amount: us && kind !== 'kWh' ? Number(fromUnit(amount, '°F').toFixed(2)) : amount,
            unit: kind,
          };
    void logbox.write(season, [entry]);
    setSaid(`Written down: ${entryWords(entry, us)}`);
    setText('');
  };
  return (
    <form
      className={s.write}
      data-part="write-down"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <h2>Write down</h2>
      <select aria-label="What" value={kind} onChange={(event) => setKind(event.target.value as typeof kind)}>
        <option value="note">a note</option>
        <option value="air_c">{`the air, ${us ? '°F' : '°C'}`}</option>
        <option value="soil_c">{`the soil, ${us ? '°F' : '°C'}`}</option>
        <option value="kWh">the meter, kWh</option>
      </select>
      <input
        aria-label={kind === 'note' ? 'Note' : 'Reading'}
        name="write"
        inputMode={kind === 'note' ? 'text' : 'decimal'}
        value={text}
        maxLength={1000}
        onChange={(event) => setText(event.target.value)}
      />
      <button type="submit">Save</button>
      {said !== null && <p role="status">{said}</p>}
    </form>
  );
}
