import { Segmented } from 'antd';
import type { Season } from '../../api/types';
import { CurrencyPart } from './CurrencyPart';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { day } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import { FrostFields } from './FrostFields';
import { NurseryPart } from './NurseryPart';
import s from './growlist.module.css';

/** What the whole season hangs on, folded away in a sentence. */
export function SeasonFacts({ season }: { season: Season }) {
  const store = useStore();
  const us = season.units === 'us';
  const save = (path: string[], label: string) => (to: unknown) => store.change([{ path, to }], label);
  const sure = Math.round(season.confidence * 1000) / 10;
  return (
    <details className={s.facts}>
      <summary>
        Last frost {day(season.last_frost, us)}
        {season.first_frost ? `, first frost ${day(season.first_frost, us)}` : ''}; {sure} % chance of enough plants;{' '}
        {money(season.electricity.rate, season.currency, true)} a kWh
      </summary>
      <div>
        <FrostFields season={season} save={save} />
        <EditNumber label="Season’s year" name="year" field="year" value={season.year} save={save(['year'], 'year')} />
        <EditNumber
          label="Wanted chance of enough plants"
          name="confidence"
          after="%"
          field="confidence"
          share
          value={season.confidence}
          save={save(['confidence'], 'how sure')}
        />
        <EditNumber
          label="Price of a kWh"
          name="rate"
          before={moneySign(season.currency)}
          field="electricity.rate"
          value={season.electricity.rate}
          save={save(['electricity', 'rate'], 'price of a kWh')}
        />
        <EditNumber
          label="A trip to the nursery"
          name="trip"
          before={moneySign(season.currency)}
          field="nursery_trip_cost"
          value={season.nursery_trip_cost}
          save={save(['nursery_trip_cost'], 'nursery trip')}
        />
        <EditNumber
          label="An hour of your own time"
          name="hourly"
          before={moneySign(season.currency)}
          field="hourly_value"
          value={season.hourly_value}
          save={save(['hourly_value'], 'your hour')}
        />
        <MixAndOwned season={season} save={save} />
        <CurrencyPart season={season} />
        <Segmented<string>
          aria-label="Units"
          size="small"
          value={season.units}
          onChange={(to) => store.apply([{ path: ['units'], to }], 'units')}
          options={[
            { value: 'us', label: 'quarts, inches, °F' },
            { value: 'metric', label: 'litres, cm, °C' },
          ]}
        />
      </div>
      <NurseryPart season={season} />
    </details>
  );
}

function MixAndOwned({
  season,
  save,
}: {
  season: Season;
  save: (path: string[], label: string) => (to: unknown) => Promise<void>;
}) {
  const store = useStore();
  return (
    <>
      <EditNumber
        label="Mix spilled and settled"
        name="mix_overage"
        after="%"
        field="mix_overage"
        share
        value={season.mix_overage}
        save={save(['mix_overage'], 'mix spilled')}
      />
      <label className="tick">
        <input
          type="checkbox"
          name="charge_owned"
          checked={season.charge_owned}
          onChange={({ target }) => store.apply([{ path: ['charge_owned'], to: target.checked }], 'things owned already')}
        />{' '}
        things you own already cost a season’s share too
      </label>
    </>
  );
}
