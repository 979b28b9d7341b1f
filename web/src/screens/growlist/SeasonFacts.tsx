import { Segmented } from 'antd';
import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import type { Parsed } from '../../edit/useDraft';
import { useStore } from '../../season/SeasonContext';
import { day, isDate } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import { parseMaybeDate } from './parse';

const parseDate = (typed: string): Parsed<string> => (isDate(typed) ? { ok: true, value: typed } : { ok: false, why: 'Give a date that exists.' });
const parseCurrency = (typed: string): Parsed<string> => (/^[A-Za-z]{3}$/.test(typed.trim()) ? { ok: true, value: typed.trim().toUpperCase() } : { ok: false, why: 'Give three letters, such as USD, GBP or EUR.' });

/** What the whole season hangs on, folded away in a sentence. */
export function SeasonFacts({ season }: { season: Season }) {
  const store = useStore();
  const us = season.units === 'us';
  const save = (path: string[], label: string) => (to: unknown) => store.change([{ path, to }], label);
  const sure = Math.round(season.confidence * 1000) / 10;
  return (
    <details className="facts">
      <summary>Last frost {day(season.last_frost, us)}{season.first_frost ? `, first frost ${day(season.first_frost, us)}` : ''}; {sure} in 100 sure; {money(season.electricity.rate, season.currency, true)} a kWh</summary>
      <div>
        <EditText<string> label="Last frost" name="last_frost" type="date" value={season.last_frost} show={String} parse={parseDate} save={save(['last_frost'], 'last frost')} />
        <EditText<string> label="First frost of autumn" name="first_frost" type="date" value={season.first_frost ?? ''} show={String} parse={parseMaybeDate} save={(to) => save(['first_frost'], 'first frost')(to === '' ? null : to)} />
        <EditNumber label="Season’s year" name="year" value={season.year} bounds={{ least: 1900, most: 2200, whole: true }} save={save(['year'], 'year')} />
        <EditNumber label="How sure, of each crop" name="confidence" after="in 100" value={sure} bounds={{ least: 50, most: 99.9 }} save={(to) => save(['confidence'], 'how sure')(to / 100)} />
        <EditNumber label="Price of a kWh" name="rate" before={moneySign(season.currency)} value={season.electricity.rate} bounds={{ least: 0, most: 1000 }} save={save(['electricity', 'rate'], 'price of a kWh')} />
        <EditNumber label="A trip to the nursery" name="trip" before={moneySign(season.currency)} value={season.nursery_trip_cost} bounds={{ least: 0, most: 1_000_000 }} save={save(['nursery_trip_cost'], 'nursery trip')} />
        <EditNumber label="An hour of your own time" name="hourly" before={moneySign(season.currency)} value={season.hourly_value} bounds={{ least: 0, most: 1_000_000 }} save={save(['hourly_value'], 'your hour')} />
        <EditText<string> label="Currency" name="currency" value={season.currency} show={String} parse={parseCurrency} save={save(['currency'], 'currency')} />
        <Segmented<string> aria-label="Units" size="small" value={season.units} onChange={(to) => void save(['units'], 'units')(to)} options={[{ value: 'us', label: 'quarts, inches, °F' }, { value: 'metric', label: 'litres, cm, °C' }]} />
      </div>
    </details>
  );
}
