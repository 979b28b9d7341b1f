import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { Belief } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import { spelled } from '../../words/spelling';
import { inUnit } from '../../words/units';
import { BeliefTrack } from './BeliefTrack';
import s from './reckoning.module.css';

const keyOf = ({ key, id }: Belief): string => `${key} ${id}`;
/** A value that is no share of plants: hours, a life, watts, a lift, a temperature, luck. */
function measured({ key, id }: Belief, value: number, us: boolean): string {
  if (key === 'minutes') return `${value.toFixed(1)} h`;
  if (key === 'life') return `lasts ${value.toFixed(1)} seasons`;
  if (id.endsWith('.watts')) return `${Math.round(value)} W`;
  if (id.endsWith('.lift_c')) return us ? `${(value * 1.8).toFixed(1)} °F` : `${value.toFixed(1)} °C`;
  if (id.endsWith('.temp_c')) return us ? `${inUnit(value, '°F').toFixed(1)} °F` : `${value.toFixed(1)} °C`;
  return `${Math.round(value * 100)} %`;
}

/** What next year believes: planned, counted, believed, as dots and ranges; taken over one by one or all. */
export function BeliefsPart({ shown: { id, season, setup }, beliefs }: { shown: OnScreen; beliefs: Belief[] }) {
  const us = season.units === 'us';
  const [left, setLeft] = useState<string[]>([]);
  const [why, setWhy] = useState<string | null>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const shares = beliefs.filter((one) => one.believed_range !== null);
  const others = beliefs.filter((one) => one.believed_range === null);
  const take = () => {
    setWhy(null);
    const keys = beliefs.map(keyOf).filter((key) => !left.includes(key));
    answered(
      client.POST('/api/seasons/{season}/setups/{setup}/next', {
        params: { path: { season: id, setup: setup.id } },
        body: { take: keys },
      }),
    )
      .then(({ id: next }) => {
        void queries.invalidateQueries({ queryKey: ['seasons'] });
        void navigate(`/seasons/${next}/list`);
      })
      .catch((error: unknown) => setWhy(words(error)));
  };
  const box = (one: Belief) => (
    <input
      type="checkbox"
      name={`take-${keyOf(one)}`}
      aria-label={`Take over: ${one.name}`}
      checked={!left.includes(keyOf(one))}
      onChange={(event) => setLeft(event.target.checked ? left.filter((key) => key !== keyOf(one)) : [...left, keyOf(one)])}
    />
  );
  return (
    <section aria-labelledby="beliefs-title" data-part="beliefs">
      <h2 id="beliefs-title">Germination and survival in %: planned, counted, next season</h2>
      {beliefs.length === 0 && <p className="quiet">Nothing is counted yet, so the next season starts from this plan.</p>}
      <ul className={s.beliefs}>
        {shares.map((one) => (
          <li key={keyOf(one)} data-belief={keyOf(one)}>
            <label>
              {box(one)} {one.name}
            </label>
            <BeliefTrack belief={one} />
            <small className="quiet">
              {one.of} counted beside {Math.round(one.weight)} by the plan
              {one.similar >= 0.5 && ` and ${Math.round(one.similar)} by others like it`}
            </small>
          </li>
        ))}
      </ul>
      {others.map((one) => (
        <p key={keyOf(one)} data-belief={keyOf(one)}>
          <label>
            {box(one)} {one.name}: {measured(one, one.believed, us)}, planned {measured(one, one.planned, us)}
          </label>
          {one.key === 'weather' && (
            <small className="quiet">
              {' '}
              {one.of.toLocaleString('en')} days counted beside {Math.round(one.weight)} by the plan, month by month
            </small>
          )}
        </p>
      ))}
      {beliefs.length > 0 && (
        <Button data-action="begin-next" onClick={take}>
          Begin the next season with {left.length === 0 ? 'all of these' : `${beliefs.length - left.length} of ${beliefs.length}`}
        </Button>
      )}
      {shares.length > 0 && <p className="quiet">{spelled('Grey', us)}: this plan. Dot: your count. Green: the next season.</p>}
      {why !== null && <p role="alert">{why}</p>}
    </section>
  );
}
