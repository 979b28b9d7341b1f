import { Button } from 'antd';
import { useState } from 'react';
import type { TrialResult } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import s from './trays.module.css';

/** Rows that stand against each other, and at the end one sentence. */
export function TrialsPart({ shown: { season }, trials }: { shown: OnScreen; trials: TrialResult[] }) {
  const store = useStore();
  const [name, setName] = useState('');
  const [sides, setSides] = useState<[string, string]>(['', '']);
  const [measure, setMeasure] = useState<'up' | 'lived'>('up');
  const [why, setWhy] = useState<string | null>(null);
  const crops = season.crops.map(({ id }) => ({ id, name: varietyOf(season, id) }));
  const add = () => {
    const [a, b] = sides;
    if (a === '' || b === '' || a === b) return setWhy('Choose two different crops of the list.');
    setWhy(null);
    const id = `trial-${Math.random().toString(36).slice(2, 10)}`;
    const side = (crop: string) => ({ name: varietyOf(season, crop), crops: [crop], trays: [] });
    const title = name.trim() === '' ? `${varietyOf(season, a)} beside ${varietyOf(season, b)}` : name.trim().slice(0, 200);
    store.apply([{ path: ['trials', id], to: { id, name: title, measure, sides: [side(a), side(b)] } }], `trial, ${title}`);
    setName('');
    setSides(['', '']);
  };
  const pick = (n: 0 | 1, label: string) => (
    <select
      aria-label={label}
      name={`side-${n}`}
      value={sides[n]}
      onChange={(event) => setSides(n === 0 ? [event.target.value, sides[1]] : [sides[0], event.target.value])}
    >
      <option value="">…</option>
      {crops.map((crop) => (
        <option key={crop.id} value={crop.id}>
          {crop.name}
        </option>
      ))}
    </select>
  );
  return (
    <section aria-labelledby="trials-title" data-part="trials">
      <h2 id="trials-title">Trials</h2>
      {trials.map((trial) => (
        <div key={trial.id} className={s.trial} data-trial={trial.id}>
          <b>{trial.name}</b>
          <p>
            {trial.words}
            {trial.saves !== null && trial.better !== null && (
              <>
                {' '}
                A plant of it costs {money(Math.abs(trial.saves), season.currency)} {trial.saves >= 0 ? 'less' : 'more'}, by the
                plan.
              </>
            )}
          </p>
          <button
            type="button"
            className="plain"
            aria-label={`take out: ${trial.name}`}
            onClick={() => store.apply([{ path: ['trials', trial.id], to: null }], `trial out, ${trial.name}`)}
          >
            take out
          </button>
        </div>
      ))}
      <details data-part="new-trial">
        <summary>Set one against another</summary>
        <div className={s.field}>
          {pick(0, 'One side')} against {pick(1, 'The other side')}
        </div>
        <div className={s.field}>
          <label>
            by what{' '}
            <select name="measure" value={measure} onChange={(event) => setMeasure(event.target.value as typeof measure)}>
              <option value="up">came up</option>
              <option value="lived">lived</option>
            </select>
          </label>
          <label>
            called <input name="trial-name" value={name} maxLength={200} onChange={(event) => setName(event.target.value)} />
          </label>
        </div>
        <Button data-action="add-trial" onClick={add}>
          Try it
        </Button>
        {why !== null && <p role="alert">{why}</p>}
      </details>
    </section>
  );
}
