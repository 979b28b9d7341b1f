import { clsx } from 'clsx';
import type { Compared, Season } from '../../api/types';
import { moveInTable } from '../../edit/moveInTable';
import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import s from './compare.module.css';

/** Crops by set-ups: what one finished seedling costs in each, the cheapest way marked, buying beside it. */
export function VerdictTable({ season, compared, here }: { season: Season; compared: Compared; here: string }) {
  const ask = useAsk();
  const setups = season.setups.filter(({ id }) => compared.comparison.setups.some((row) => row.id === id));
  const results = new Map(
    compared.result.setups.map((result) => [result.id, new Map(result.crops.map((crop) => [crop.id, crop]))]),
  );
  return (
    <section aria-labelledby="verdict-title">
      <h2 id="verdict-title">Cost per finished seedling, by crop and set-up</h2>
      <div className={s.compareScroll} tabIndex={0} role="region" aria-label="Crops by set-ups">
        <table className={s.verdicts} onKeyDown={moveInTable}>
          <thead>
            <tr>
              <th scope="col">Crop</th>
              {setups.map((row) => (
                <th key={row.id} scope="col" className={row.id === here ? 'here' : undefined}>
                  {row.name}
                </th>
              ))}
              <th scope="col">Bought</th>
            </tr>
          </thead>
          <tbody>
            {season.crops.map((crop) => {
              const each = compared.comparison.bought_each[crop.id] ?? null;
              const lot = season.seed_lots.find(({ id }) => id === crop.lot);
              const variety = `${lot?.variety ?? crop.id}${crop.anchor === 'first_frost' ? ', autumn' : ''}`;
              return (
                <tr key={crop.id}>
                  <th scope="row">{variety}</th>
                  {setups.map(({ id, name }) => {
                    const line = results.get(id)?.get(crop.id);
                    const best = compared.comparison.cheapest[crop.id] === id;
                    return (
                      <td key={id} className={clsx('mono', id === here ? 'here' : undefined, best ? s.best : undefined)}>
                        {line?.grown ? (
                          <button
                            type="button"
                            className="amount"
                            aria-label={`${variety}, ${name}: ${money(line.per_finished, season.currency, true)}`}
                            onClick={() => ask({ figure: 'per_finished', crop: crop.id, setup: id })}
                          >
                            {money(line.per_finished, season.currency, true)}
                          </button>
                        ) : line?.cost != null ? (
                          'bought'
                        ) : (
                          <span className="trouble">▲ no</span>
                        )}
                        {best && <small>cheapest</small>}
                        {line?.verdict === 'grow_along' && <small>along</small>}
                        {line?.verdict === 'buy' && <small>cheaper to buy</small>}
                      </td>
                    );
                  })}
                  <td className="mono">{each === null ? 'not sold as a plant' : money(each, season.currency, true)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
