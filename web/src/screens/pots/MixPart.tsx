import { useState } from 'react';
import type { MixWay, Potting, Season } from '../../api/types';
import { money } from '../../words/money';
import { fromUnit, perVolume } from '../../words/units';
import { Jar } from './Jar';
import { RecipeEditor } from './RecipeEditor';
import { TillSteps } from './TillSteps';
import { mixUnit, mixVolume } from './volume';
import { AddThing } from '../../edit/AddThing';
import { FieldsOf } from '../../edit/typed';
import s from './pots.module.css';

/** The season's litres of mix, stirred or bought: as jars of their parts, and what the till asks. */
export function MixPart({ season, potting }: { season: Season; potting: Potting }) {
  const us = season.units === 'us';
  const [open, setOpen] = useState<string | null>(null);
  const recipe = season.mixes.find(({ id }) => id === open);
  const perUnit = (way: MixWay) => money(perVolume(way.per_l, fromUnit(1, mixUnit(us))), season.currency, true);
  const cheapestNow = potting.ways.reduce<MixWay | null>(
    (best, way) => (best === null || way.cash < best.cash ? way : best),
    null,
  );
  return (
    <section aria-labelledby="mix-title">
      <h2 id="mix-title">
        {potting.litres > 0 ? `${mixVolume(potting.litres, us)} of mix this season: make it or buy it` : 'Mix: make it or buy it'}
      </h2>
      <div className={s.mixes}>
        <ul className={s.jars} data-part="ways">
          {potting.ways.map((way, index) => (
            <li key={way.id} data-way={way.id}>
              <Jar way={way} />
              <b>{way.name}</b>
              <small>
                {way.hours > 0.005 ? `${Math.round(way.hours * 60)} min of stirring; ` : ''}
                {way.parts
                  .filter(({ packs }) => packs > 0)
                  .map(({ name, packs }) => `${packs} × ${name}`)
                  .join(', ') || 'all in stock'}
              </small>
              <span>
                <span className="mono copper">{perUnit(way)}</span> a {us ? 'quart' : 'litre'}; {money(way.cash, season.currency)}{' '}
                to pay now
              </span>
              {index === 0 && <small className="verdict-grow">cheapest by the {us ? 'quart' : 'litre'}</small>}
              {way.id === cheapestNow?.id && index !== 0 && <small className="verdict-grow">least to pay now</small>}
              {way.tips_at !== null && <small>from {mixVolume(way.tips_at, us)} or more it is cheaper than bags</small>}
              {way.kind === 'stirred' && (
                <button
                  type="button"
                  className="plain"
                  aria-expanded={open === way.id}
                  onClick={() => setOpen(open === way.id ? null : way.id)}
                >
                  Its recipe
                </button>
              )}
            </li>
          ))}
        </ul>
        <TillSteps season={season} potting={potting} />
      </div>
      <AddThing lists={[['mixes', 'Recipes', 'A recipe of my own']]} label="Add a recipe" added={setOpen} />
      <p className="quiet">A stage of a method uses the recipe that you choose there, under Methods.</p>
      {recipe && (
        <FieldsOf key={recipe.id} value={recipe.id}>
          <RecipeEditor season={season} recipe={recipe} />
        </FieldsOf>
      )}
    </section>
  );
}
