import { Select } from 'antd';
import type { Compared } from '../../api/types';
import { EditText } from '../../edit/EditText';
import { parseText } from '../../edit/text';
import type { OnScreen } from '../../season/SeasonContext';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { methodOptions } from '../../season/methods';
import s from './compare.module.css';

const LISTS = [
  ['lights', 'Lamps'],
  ['mats', 'Mats'],
  ['appliances', 'Fans and the like'],
  ['gear', 'Gear'],
] as const;

type ToBuy = Compared['comparison']['setups'][number]['to_buy'];

/** What is in the set-up on screen: its name, the method of most crops, lamps, mats and gear. */
export function SetupPanel({ shown: { season, setup }, toBuy }: { shown: OnScreen; toBuy: ToBuy }) {
  const store = useStore();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['setups', setup.id, key], to }], `${label}, ${setup.name}`);
  const others = season.setups.filter(({ id }) => id !== setup.id);
  const set = (key: string, label: string) => (to: unknown) =>
    store.apply([{ path: ['setups', setup.id, key], to }], `${label}, ${setup.name}`);
  return (
    <details className={s.setupPanel} open={setup.id === season.setups.at(-1)?.id && setup.meta !== undefined}>
      <summary>What is in “{setup.name}”</summary>
      <div className={s.setupBody}>
        <div>
          <EditText<string>
            label="Name"
            name="setup_name"
            value={setup.name}
            show={String}
            parse={parseText}
            save={save('name', 'name')}
          />
          <label className="pick">
            Method of most crops
            <Select
              aria-label="Method of most crops"
              value={setup.method}
              popupMatchSelectWidth={false}
              onChange={set('method', 'method')}
              options={[...methodOptions(season), { value: 'nursery', label: 'Bought' }]}
            />
          </label>
          {toBuy.length > 0 && (
            <p data-test="to-buy">
              You would buy{' '}
              {toBuy
                .map(({ name, packs, cost }) => `${packs > 1 ? `${packs} × ` : ''}${name} (${money(cost, season.currency)})`)
                .join(', ')}
              .
            </p>
          )}
          <p className="quiet">{Object.keys(setup.overrides).length} crops use another method: see the list.</p>
          {others.length > 0 && (
            <button
              type="button"
              className="plain"
              data-action="remove-setup"
              onClick={() => store.apply([{ path: ['setups', setup.id], to: null }], `${setup.name} taken out`)}
            >
              Delete this set-up
            </button>
          )}
        </div>
        {LISTS.map(
          ([list, title]) =>
            season[list].length > 0 && (
              <fieldset key={list}>
                <legend>{title}</legend>
                {season[list].map((thing) => (
                  <label key={thing.id} className="tick">
                    <input
                      type="checkbox"
                      checked={setup[list].includes(thing.id)}
                      onChange={(event) =>
                        set(
                          list,
                          title.toLowerCase(),
                        )(event.target.checked ? [...setup[list], thing.id] : setup[list].filter((id) => id !== thing.id))
                      }
                    />
                    {thing.name}
                    {thing.owned ? ', yours already' : `, ${money(thing.price, season.currency)}`}
                  </label>
                ))}
              </fieldset>
            ),
        )}
      </div>
    </details>
  );
}
