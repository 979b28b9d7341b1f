import { Segmented } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { useStore } from '../../season/SeasonContext';
import { day, fromFrost } from '../../words/dates';
import { money } from '../../words/money';
import { count, odds, plural } from '../../words/sowing';
import type { PanelProps } from './panel';
import { parseMaybeDate } from './parse';
import s from './growlist.module.css';

/** What the plants are for, when they go out, rounds, and the nursery's offers. */
export function WhenPart({ shown: { season, setup }, crop, result, facts: { lot, species } }: PanelProps) {
  const store = useStore();
  const us = season.units === 'us';
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const split = crop.split ?? { keep: crop.wanted, give: 0, sell: 0 };
  const share = (part: 'keep' | 'give' | 'sell') => (to: number) =>
    store.change([{ path: ['crops', crop.id, 'split'], to: { ...split, [part]: to } }], `${part}, ${lot.variety}`);
  const set = (key: string, label: string) => (to: unknown) =>
    store.apply([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const frost = crop.anchor === 'first_frost' ? 'first frost' : 'last frost';
  return (
    <section aria-label="Purpose and dates">
      <h2 className={s.partName}>Purpose</h2>
      <EditNumber label="To plant" name="keep" field="crops.split.keep" value={split.keep} save={share('keep')} />
      <EditNumber label="To give away" name="give" field="crops.split.give" value={split.give} save={share('give')} />
      <EditNumber label="To sell" name="sell" field="crops.split.sell" value={split.sell} save={share('sell')} />
      <h2 className={s.partName}>When</h2>
      <Segmented<string>
        aria-label="Counted from"
        size="small"
        value={crop.anchor}
        disabled={season.first_frost === null && crop.anchor === 'last_frost'}
        onChange={set('anchor', 'counted from')}
        options={[
          { value: 'last_frost', label: 'spring, last frost' },
          { value: 'first_frost', label: 'autumn, first frost' },
        ]}
      />
      {season.first_frost === null && (
        <>
          <p className="quiet">Autumn crops are counted back from the first frost. When is it where you are?</p>
          <EditText<string>
            label="First frost"
            name="first_frost_here"
            type="date"
            value=""
            show={String}
            parse={parseMaybeDate}
            save={(to) => (to === '' ? Promise.resolve() : store.change([{ path: ['first_frost'], to }], 'first frost'))}
          />
        </>
      )}
      <EditNumber
        label="Planted out"
        name="offset"
        after="days after"
        field="crops.plant_out_offset_days"
        value={crop.plant_out_offset_days}
        save={save('plant_out_offset_days', 'planting out')}
      />
      <p className="quiet">
        {fromFrost(crop.plant_out_offset_days, frost)}
        {result.plant_out_on === null ? '' : `: ${day(result.plant_out_on, us)}`}
        {result.p_frost !== null && `. A frost comes after that day in ${odds(result.p_frost)} years.`}
      </p>
      {species && species.weeks !== null && species.weeks !== undefined && (
        <EditNumber
          label={`From sowing to planting out, every ${species.name.toLowerCase()}`}
          name="weeks"
          after="weeks"
          field="species.weeks"
          value={species.weeks}
          save={(to) => store.change([{ path: ['species', species.id, 'weeks'], to }], `weeks, ${species.name}`)}
        />
      )}
      <EditText<string>
        label="Sowing date of your own"
        name="sow_on"
        type="date"
        value={crop.sow_on ?? ''}
        show={String}
        parse={parseMaybeDate}
        save={(to) => save('sow_on', 'sowing date')(to === '' ? null : to)}
      />
      <EditNumber
        label="Chilled before"
        name="cold_days"
        after="days"
        field="crops.cold_days"
        value={crop.cold_days}
        save={save('cold_days', 'chilling')}
      />
      {result.cold_on !== null && <p className="quiet">into the cold on {day(result.cold_on, us)}</p>}
      <Rounds crop={crop.id} setup={setup.id} />
      <h2 className={s.partName}>At the nursery</h2>
      {season.nursery.length === 0 && <p className="quiet">This season has no nursery offers yet.</p>}
      {season.nursery.map((offer) => (
        <label key={offer.id} className="tick">
          <input
            type="checkbox"
            checked={crop.nursery.includes(offer.id)}
            onChange={(event) =>
              set(
                'nursery',
                'offers',
              )(event.target.checked ? [...crop.nursery, offer.id] : crop.nursery.filter((id) => id !== offer.id))
            }
          />
          {offer.name}, {offer.plants} for {money(offer.price, season.currency)}
        </label>
      ))}
      {crop.nursery.length > 0 && (
        <>
          <label className="tick">
            <input
              type="checkbox"
              name="substitute"
              checked={crop.substitute}
              onChange={(event) => set('substitute', 'not this variety')(event.target.checked)}
            />{' '}
            sold, but not this variety
          </label>
          <EditInUnit
            label="Smallest pot of a bought plant"
            name="pot_at_least"
            field="crops.pot_at_least_l"
            unit={us ? 'cup' : 'L'}
            value={crop.pot_at_least_l}
            maybe
            save={save('pot_at_least_l', 'pot wanted')}
          />
          <EditNumber
            label="Bought plants lost"
            name="bought_loss"
            after="%"
            field="crops.bought_loss"
            share
            value={crop.bought_loss}
            save={save('bought_loss', 'bought plants lost')}
          />
        </>
      )}
    </section>
  );
}

/** "Again every 2 weeks, 3 times." */
function Rounds({ crop, setup }: { crop: string; setup: string }) {
  const store = useStore();
  const [weeks, setWeeks] = useState('2');
  const [times, setTimes] = useState('3');
  const [why, setWhy] = useState<string | null>(null);
  const [added, setAdded] = useState(0);
  const send = () => {
    const [every, many] = [Math.round(Number(weeks.replace(',', '.')) * 7), Math.round(Number(times))];
    if (!(every >= 1 && every <= 180 && many >= 1 && many <= 26)) return setWhy('Type 1 to 25 weeks and 1 to 26 times.');
    setWhy(null);
    store
      .run('rounds', () =>
        answered(
          client.POST('/api/seasons/{season}/crops/{crop}/rounds', {
            params: { path: { season: store.id, crop } },
            body: { every_days: every, times: many, setup },
          }),
        ),
      )
      .then(() => setAdded(many))
      .catch((error: unknown) => setWhy(words(error)));
  };
  // A second press would add the same rounds again, so a number has to change first.
  const change = (set: (typed: string) => void) => (event: { target: { value: string } }) => {
    setAdded(0);
    set(event.target.value);
  };
  return (
    <form
      className={s.rounds}
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      Again every <input aria-label="Weeks between rounds" inputMode="decimal" value={weeks} onChange={change(setWeeks)} /> weeks,{' '}
      <input aria-label="How many times" inputMode="numeric" value={times} onChange={change(setTimes)} /> times{' '}
      <button type="submit" className="plain" disabled={added > 0}>
        Add the rounds
      </button>
      {added > 0 && (
        <span role="status">
          {' '}
          {count(added)} {plural(added, 'round')} added.
        </span>
      )}
      {why !== null && (
        <p className="edit-why" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
