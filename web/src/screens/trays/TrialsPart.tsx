import { Button } from 'antd';
import { useState } from 'react';
import type { Season, TrayPicture, TrialResult } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import s from './trays.module.css';

const newId = (): string => `trial-${Math.random().toString(36).slice(2, 10)}`;

interface Props {
  shown: OnScreen;
  trials: TrialResult[];
  trays: TrayPicture[];
}

/** Rows that stand against each other, and at the end one sentence. */
export function TrialsPart({ shown: { season }, trials, trays }: Props) {
  return (
    <section aria-labelledby="trials-title" data-part="trials">
      <h2 id="trials-title">Trials</h2>
      {trials.map((trial) => (
        <Trial key={trial.id} trial={trial} currency={season.currency} />
      ))}
      <NewTrial season={season} trays={trays} />
    </section>
  );
}

function Trial({ trial, currency }: { trial: TrialResult; currency: string }) {
  const store = useStore();
  return (
    <div className={s.trial} data-trial={trial.id}>
      <b>{trial.name}</b>
      <p>
        {trial.words}
        {trial.saves !== null && trial.better !== null && (
          <>
            {' '}
            A plant of it costs {money(Math.abs(trial.saves), currency)} {trial.saves >= 0 ? 'less' : 'more'}, by the plan.
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
  );
}

/** A crop as a whole, and where it stands in several trays each of them. */
const sidesToChoose = (season: Season, trays: TrayPicture[]) =>
  season.crops.flatMap(({ id }) => {
    const name = varietyOf(season, id);
    const letters = trays.filter(({ runs }) => runs.some(({ crop, stage }) => crop === id && stage === 0)).map((tray) => tray.id);
    const some =
      letters.length > 1
        ? letters.map((tray) => ({ key: `${id} ${tray}`, crop: id, trays: [tray], name: `${name}, tray ${tray}` }))
        : [];
    return [{ key: id, crop: id, trays: [] as string[], name }, ...some];
  });

/** Two sides, by what they are compared, and what the trial is called. */
function NewTrial({ season, trays }: { season: Season; trays: TrayPicture[] }) {
  const store = useStore();
  const [name, setName] = useState('');
  const [sides, setSides] = useState<[string, string]>(['', '']);
  const [measure, setMeasure] = useState<'up' | 'lived'>('up');
  const [why, setWhy] = useState<string | null>(null);
  const choices = sidesToChoose(season, trays);
  const add = () => {
    const [a, b] = sides.map((key) => choices.find((one) => one.key === key));
    if (!a || !b || a === b) return setWhy('Choose two different crops or trays.');
    setWhy(null);
    const id = newId();
    const side = (one: typeof a) => ({ name: one.name, crops: [one.crop], trays: one.trays });
    const title = name.trim() === '' ? `${a.name} beside ${b.name}` : name.trim().slice(0, 200);
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
      {choices.map((one) => (
        <option key={one.key} value={one.key}>
          {one.name}
        </option>
      ))}
    </select>
  );
  return (
    <details data-part="new-trial">
      <summary>Compare two</summary>
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
  );
}
