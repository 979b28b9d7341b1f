import type { BenchPlace } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import type { OnScreen } from '../../season/SeasonContext';
import { alikeAt } from './alike';
import { OutletLoad } from './OutletLoad';
import { ThingLine } from './ThingLine';
import s from './bench.module.css';

const ADD = [
  ['lights', 'Lamps', 'A lamp of my own'],
  ['mats', 'Mats and chambers', 'A mat of my own'],
  ['appliances', 'Fans and the like', 'A fan of my own'],
] as const;

interface Props {
  shown: OnScreen;
  place: BenchPlace;
}

/** What lights, warms and moves the air at one place: every number where it stands, and what it comes to over the season. */
export function Things({ shown: { season, setup }, place }: Props) {
  const rows = alikeAt(season, setup, place.id).map((alike) => ({
    alike,
    uses: place.things.filter(({ kind, id }) => kind === alike.list && alike.ids.includes(id)),
  }));
  const idle = rows.filter(({ uses }) => uses.length > 0 && uses.every(({ days }) => days === 0));
  return (
    <section aria-labelledby={`things-${place.id}`}>
      <h2 id={`things-${place.id}`}>
        On this place <small className={s.unitHead}>season</small>
      </h2>
      <ul className={s.things} data-part="things">
        {rows.map(({ alike, uses }) => (
          <ThingLine key={alike.list + alike.row.id} season={season} setup={setup} alike={alike} uses={uses} />
        ))}
      </ul>
      {rows.length === 0 && <p className="quiet">No lamp, mat or fan here yet.</p>}
      {idle.length > 0 && <p className="trouble">△ Never on: {idle.map(({ alike }) => alike.name).join(', ')}.</p>}
      <AddThing lists={ADD} label="Add a lamp, a mat…" place={place.id} many />
      <OutletLoad season={season} place={place} />
    </section>
  );
}
