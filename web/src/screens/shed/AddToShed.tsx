import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { NewShedItem, Shed } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { KINDS } from './kinds';
import s from './shed.module.css';

/** Something that lies in the shed already. */
export function AddToShed({ learn }: { learn: (shed: Shed) => void }) {
  const [kind, setKind] = useState<NewShedItem['kind']>('seed');
  const [name, setName] = useState('');
  const [amount, setAmount] = useState('');
  const [year, setYear] = useState('');
  const [place, setPlace] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const add = async () => {
    const much = parseNumber(amount, { least: 0, most: 1_000_000_000 });
    const packed = kind === 'seed' ? parseNumber(year, { least: 1950, most: 2100, whole: true }) : null;
    if (name.trim() === '') return setWhy('Type a name.');
    if (!much.ok) return setWhy(`How much: ${much.why}`);
    if (packed !== null && !packed.ok) return setWhy(`Its year: ${packed.why}`);
    try {
      const body = { kind, name: name.trim(), amount: much.value, packed_for: packed?.value ?? null, place: place.trim() };
      learn(await answered(client.POST('/api/shed', { body })));
      setName('');
      setAmount('');
      setWhy(null);
    } catch (error) {
      setWhy(words(error));
    }
  };
  return (
    <form
      className={s.add}
      data-part="add-shed"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <label>
        Kind
        <select name="shed-kind" value={kind} onChange={(event) => setKind(event.target.value as NewShedItem['kind'])}>
          {KINDS.map(([id, title]) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <label>
        What
        <input name="shed-name" value={name} maxLength={200} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        {kind === 'seed' ? 'Seeds left' : kind === 'supply' ? 'Litres left' : 'How many'}
        <input name="shed-amount" inputMode="decimal" value={amount} onChange={(event) => setAmount(event.target.value)} />
      </label>
      {kind === 'seed' && (
        <label>
          Packed for
          <input name="shed-year" inputMode="numeric" value={year} onChange={(event) => setYear(event.target.value)} />
        </label>
      )}
      <label>
        Where it lies
        <input name="shed-place" value={place} maxLength={100} onChange={(event) => setPlace(event.target.value)} />
      </label>
      <Button htmlType="submit">Put it in</Button>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
