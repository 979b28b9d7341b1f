import { Segmented } from 'antd';
import type { Season } from '../../api/types';
import { CurrencyPart } from './CurrencyPart';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { parseDate } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { day } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import { parseMaybeDate } from './parse';
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
        <EditText<string>
          label="Last frost"
          name="last_frost"
          type="date"
          value={season.last_frost}
          show={String}
          parse={parseDate}
          save={save(['last_frost'], 'last frost')}
        />
        <EditNumber
          label="The last frost varies by about"
          name="last_frost_spread_days"
          after="days"
          field="last_frost_spread_days"
          value={season.last_frost_spread_days}
          save={save(['last_frost_spread_days'], 'spread of the last frost')}
        />
        <EditText<string>
          label="First frost of autumn"
          name="first_frost"
          type="date"
          value={season.first_frost ?? ''}
          show={String}
          parse={parseMaybeDate}
          save={(to) => save(['first_frost'], 'first frost')(to === '' ? null : to)}
        />
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
