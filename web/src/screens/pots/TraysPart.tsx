import type { Season } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { SaidNumber } from '../../edit/Said';
import { WareLine } from '../../edit/WareLine';
import { useStore } from '../../season/SeasonContext';
import s from './pots.module.css';

/** Catch trays, covers, totes: one to a flat, named by the stages that use them. */
export function TraysPart({ season }: { season: Season }) {
  const store = useStore();
  return (
    <section aria-labelledby="trays-title" data-part="trays">
      <h2 id="trays-title">Trays and covers</h2>
      <p className="quiet">One for each tray, in the stages that use it. Choose the stages under Methods, in “The work”.</p>
      <ul className={s.trays}>
        {season.trayware.map((row) => (
          <WareLine key={row.id} season={season} list="trayware" row={row}>
            <span>
              you have{' '}
              <SaidNumber
                label={`You have of ${row.name}`}
                name={`${row.id}.owned_units`}
                field="trayware.owned_units"
                value={row.owned_units}
                save={(to) => store.change([{ path: ['trayware', row.id, 'owned_units'], to }], `owned, ${row.name}`)}
              />
            </span>
          </WareLine>
        ))}
      </ul>
      <AddThing lists={[['trayware', 'Trays and covers', 'One of my own']]} label="Add a tray or cover" />
    </section>
  );
}
