import type { Season, Setup } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { WareLine } from '../../edit/WareLine';
import { useStore } from '../../season/SeasonContext';
import s from './bench.module.css';

/** Shelves, timers, tools: what costs only its price, shared by all that stands indoors. */
export function GearPart({ season, setup }: { season: Season; setup: Setup }) {
  const store = useStore();
  const use = (id: string, name: string, used: boolean) =>
    store.apply(
      [{ path: ['setups', setup.id, 'gear'], to: used ? [...setup.gear, id] : setup.gear.filter((one) => one !== id) }],
      `${name}, ${setup.name}`,
    );
  return (
    <section aria-labelledby="gear-title" data-part="gear">
      <h2 id="gear-title">Shelves, timers and tools</h2>
      <ul className={s.gear}>
        {season.gear.map((row) => (
          <WareLine key={row.id} season={season} list="gear" row={row}>
            <label className="tick">
              <input
                type="checkbox"
                name={`${row.id}.named`}
                checked={setup.gear.includes(row.id)}
                onChange={(event) => use(row.id, row.name, event.target.checked)}
              />{' '}
              used in this set-up
              <span className="hidden">: {row.name}</span>
            </label>
            <label className="tick">
              <input
                type="checkbox"
                name={`${row.id}.owned`}
                checked={row.owned}
                onChange={(event) =>
                  store.apply([{ path: ['gear', row.id, 'owned'], to: event.target.checked }], `owned, ${row.name}`)
                }
              />{' '}
              already mine
              <span className="hidden">: {row.name}</span>
            </label>
          </WareLine>
        ))}
      </ul>
      <AddThing lists={[['gear', 'Shelves, timers and tools', 'A shelf or tool of my own']]} label="Add a shelf or tool" many />
    </section>
  );
}
