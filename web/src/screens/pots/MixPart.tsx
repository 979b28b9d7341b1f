import { clsx } from 'clsx';
import { useState } from 'react';
import type { MixWay, Potting, Season } from '../../api/types';
import { money } from '../../words/money';
import { inUnit } from '../../words/units';
import { RecipeEditor } from './RecipeEditor';
import { TillSteps } from './TillSteps';
import { mixUnit, mixVolume } from './volume';
import { AddThing } from '../../edit/AddThing';
import { FieldsOf } from '../../edit/typed';
import s from './pots.module.css';

const HIGH = 110;
const SHADES = ['jarOne', 'jarTwo', 'jarThree', 'jarFour'] as const;

/** The season's litres of mix, stirred or bought: as jars of their parts, and what the till asks. */
export function MixPart({ season, potting }: { season: Season; potting: Potting }) {
  const us = season.units === 'us';
  const [open, setOpen] = useState<string | null>(null);
  const recipe = season.mixes.find(({ id }) => id === open);
  const perUnit = (way: MixWay) => money(way.per_l / inUnit(1, mixUnit(us)), season.currency, true);
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

function Jar({ way }: { way: MixWay }) {
  const below = (index: number) => way.parts.slice(0, index + 1).reduce((sum, { share }) => sum + share, 0);
  return (
    <svg
      viewBox="0 0 170 124"
      className={s.jar}
      role="img"
      aria-label={way.parts.map(({ name, share }) => `${Math.round(share * 100)} % ${name}`).join(', ')}
    >
      {way.parts.map(({ supply, name, share }, index) => {
        const high = share * HIGH;
        const from = HIGH + 6 - below(index) * HIGH;
        return (
          <g key={supply}>
            <rect
              x="6"
              y={from}
              width="62"
              height={Math.max(high, 0.5)}
              className={clsx(s.layer, s[SHADES[index % SHADES.length] ?? 'jarOne'])}
            />
            {high > 12 && (
              <text x="74" y={from + high / 2 + 5} className={s.layerName}>
                {name.split(/[, ]/)[0]}
              </text>
            )}
          </g>
        );
      })}
      <rect x="5" y="4" width="64" height={HIGH + 3} rx="6" className={s.glass} />
    </svg>
  );
}
