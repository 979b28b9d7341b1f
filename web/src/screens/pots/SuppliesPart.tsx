import type { Potting, Season, Supply } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { Feed } from './Feed';
import { SupplyLine } from './SupplyLine';
import s from './pots.module.css';

/** Bags, bales, bricks and bottles: what a pack costs and holds, what there is, what to buy, what is left. */
export function SuppliesPart({ season, potting }: { season: Season; potting: Potting }) {
  const inUse = (row: Supply) => (potting.supplies.find(({ id }) => id === row.id)?.need ?? 0) > 0;
  const rows = [...season.supplies].sort((a, b) => Number(inUse(b)) - Number(inUse(a)));
  return (
    <section aria-labelledby="supplies-title">
      <h2 id="supplies-title">Bags, bales and bottles</h2>
      <ul className={s.supplies} data-part="supplies">
        {rows.map((row) => (
          <SupplyLine key={row.id} season={season} row={row} need={potting.supplies.find(({ id }) => id === row.id)} />
        ))}
      </ul>
      <AddThing lists={[['supplies', 'Bags, bales, bottles', 'One of my own']]} label="Add a bag or bottle" />
      <Feed season={season} potting={potting} />
    </section>
  );
}
