import type { Season, Setup, ThingUse } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { Said } from '../../edit/Said';
import { parseNumber } from '../../edit/numbers';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { money, moneySign } from '../../words/money';
import { changedCount, type Alike } from './alike';
import { LampLight } from './LampLight';
import { MatThermostat } from './MatThermostat';
import { MeterReading } from './MeterReading';
import type { SaveKey } from './saveKey';
import { ThingFacts } from './ThingFacts';
import s from './bench.module.css';

/** As many as one line holds. */
const MOST = 40;

interface Props {
  season: Season;
  setup: Setup;
  alike: Alike;
  /** Those of them that the bench knows. */
  uses: ThingUse[];
}

/** A lamp, mat or fan, or several that differ in nothing: changed in one place. */
export function ThingLine({ season, setup, alike, uses }: Props) {
  const store = useStore();
  const { list, row, ids, name: called } = alike;
  const use = uses[0];
  const save: SaveKey = (key, label) => (to) =>
    store.change(
      ids.map((id) => ({ path: [list, id, key], to })),
      `${label}, ${called}`,
    );
  const name = (key: string) => `${row.id}.${key}`;
  const rename = (to: string) =>
    store.change(
      ids.map((id, n) => ({ path: [list, id, 'name'], to: n === 0 ? to : `${to} ${n + 1}` })),
      `name, ${called}`,
    );
  return (
    <li data-thing={row.id}>
      <div>
        <b>
          <Said<number>
            label={`How many: ${called}`}
            name={name('count')}
            value={ids.length}
            show={String}
            inputMode="decimal"
            parse={(typed) => parseNumber(typed.replace(/[×x]\s*$/, ''), { least: 1, most: MOST, whole: true })}
            save={(count) => store.change(changedCount(season, setup.id, alike, count), `${count} × ${called}`)}
          />{' '}
          ×{' '}
          <Said<string>
            label={`Name of ${called}`}
            name={name('name')}
            value={called}
            show={String}
            parse={parseText}
            save={rename}
          />
        </b>
        <ThingFacts season={season} alike={alike} uses={uses} save={save} />
        {use?.instead && (
          <p className="verdict-grow" data-instead={row.id}>
            {use.instead.name} for {money(use.instead.price, season.currency)} gives the same light, and is cheaper than going on
            with this one from season {use.instead.cheaper_from} on.
          </p>
        )}
        <ThingTicks setup={setup} alike={alike} />
      </div>
      <ThingCost season={season} alike={alike} uses={uses} />
      <ThingFine season={season} alike={alike} use={use} save={save} />
    </li>
  );
}

/** What they cost this season together. */
function ThingCost({ season, alike: { row }, uses }: Pick<Props, 'season' | 'alike' | 'uses'>) {
  const sum = (of: (use: ThingUse) => number) => uses.reduce((all, use) => all + of(use), 0);
  const [share, kwh] = [sum((use) => use.share), sum((use) => use.kwh)];
  const cost = uses.length === 0 ? null : sum((use) => use.cost);
  const many = uses.length > 1 ? `${uses.length} × ` : '';
  return (
    <div className={s.thingCost}>
      <span className="mono copper">{money(cost, season.currency)}</span>
      {share > 0 && (
        <small>
          {many}
          {money(row.price, season.currency)} over {row.life_seasons} seasons
        </small>
      )}
      {kwh >= 0.05 && <small>{kwh.toFixed(1)} kWh</small>}
    </div>
  );
}

function ThingTicks({ setup, alike }: Pick<Props, 'setup' | 'alike'>) {
  const store = useStore();
  const { list, row, ids, name: called } = alike;
  const name = (key: string) => `${row.id}.${key}`;
  const used = ids.every((id) => setup[list].includes(id));
  return (
    <>
      <label className="tick">
        <input
          type="checkbox"
          name={name('named')}
          checked={used}
          onChange={(event) => {
            const others = setup[list].filter((one) => !ids.includes(one));
            const to = event.target.checked ? [...others, ...ids] : others;
            store.apply([{ path: ['setups', setup.id, list], to }], `${called}, ${setup.name}`);
          }}
        />{' '}
        used in this set-up
        <span className="hidden">: {called}</span>
      </label>
      <label className="tick">
        <input
          type="checkbox"
          name={name('owned')}
          checked={row.owned}
          onChange={(event) =>
            store.apply(
              ids.map((id) => ({ path: [list, id, 'owned'], to: event.target.checked })),
              `owned, ${called}`,
            )
          }
        />{' '}
        {ids.length > 1 ? `all ${ids.length} already mine` : 'already mine'}
        <span className="hidden">: {called}</span>
      </label>
    </>
  );
}

interface FineProps extends Pick<Props, 'season' | 'alike'> {
  use: ThingUse | undefined;
  save: SaveKey;
}

function ThingFine({ season, alike, use, save }: FineProps) {
  const store = useStore();
  const isGuess = useIsGuess();
  const { list, row, ids, name: called } = alike;
  const name = (key: string) => `${row.id}.${key}`;
  const light = list === 'lights' ? season.lights.find(({ id }) => id === row.id) : undefined;
  const mat = list === 'mats' ? season.mats.find(({ id }) => id === row.id) : undefined;
  return (
    <details className={s.fine}>
      <summary>
        Price, lifetime and label<span className="hidden"> of {called}</span>
      </summary>
      <EditNumber
        label={ids.length > 1 ? 'Price of one' : 'Price'}
        name={name('price')}
        before={moneySign(season.currency)}
        field={`${list}.price`}
        value={row.price}
        guess={isGuess(list, row.id, 'price')}
        save={save('price', 'price')}
      />
      <EditNumber
        label="It lasts"
        name={name('life_seasons')}
        after="seasons"
        field={`${list}.life_seasons`}
        value={row.life_seasons}
        guess={isGuess(list, row.id, 'life_seasons')}
        save={save('life_seasons', 'life')}
      />
      <MeterReading save={save('watts', 'watts')} name={row.id} />
      {light && <LampLight season={season} light={light} use={use} save={save} />}
      {mat && <MatThermostat season={season} mat={mat} save={save} />}
      <button
        type="button"
        className="plain"
        data-action={`remove-${row.id}`}
        onClick={() =>
          store.apply(
            ids.map((id) => ({ path: [list, id], to: null })),
            `${called} taken out`,
          )
        }
      >
        {ids.length > 1 ? `Delete all ${ids.length}` : 'Delete'}
        <span className="hidden">: {called}</span>
      </button>
    </details>
  );
}
