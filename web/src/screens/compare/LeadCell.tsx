import { clsx } from 'clsx';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Compared, Season, SetupResult } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { useAsk } from '../../shell/AskContext';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { moreOf } from './AdviceLine';
import s from './compare.module.css';

interface Props {
  season: Season;
  result: SetupResult;
  compared: Compared['comparison']['setups'][number];
  here: boolean;
  /** What it cannot supply is priced in at the nursery. */
  price: boolean;
  /** No way supplies the whole list. */
  allShort: boolean;
}

const LACKS: Record<string, (n: number) => string> = {
  too_cold: (n) => `too cold for ${n}`,
  too_hot: (n) => `too hot for ${n}`,
  frost: (n) => `frost takes ${n}`,
  no_light: (n) => `no lamp for ${n}`,
  no_mat: (n) => `no mat for ${n}`,
  dim: (n) => `too dark for ${n}`,
};

/** A way's price. */
export function LeadCell({ season, result, compared, here, price }: Props) {
  const ask = useAsk();
  const per = price && compared.priced_in !== null ? compared.priced_in : result.per_wanted;
  const first = compared.rank === 1 && compared.qualifies;
  const name = season.setups.find(({ id }) => id === compared.id)?.name ?? '';
  return (
    <td className={here ? 'here' : undefined}>
      <button
        type="button"
        className={clsx('amount mono', first && compared.fitted === null ? 'copper' : undefined)}
        data-per-wanted={compared.id}
        aria-label={`One plant, list filled, ${name}: ${money(per, season.currency, true)}`}
        onClick={() => ask({ figure: 'per_wanted', crop: null, setup: compared.id })}
      >
        {money(per, season.currency, true)}
      </button>
      {first && <small className="copper">cheapest{compared.fitted === null ? '' : ' when made to fit'}</small>}
    </td>
  );
}

/** Whatever makes a price less than it seems: crowding, light, warmth, plants the way cannot supply; and what it takes to fit. */
export function LacksCell({ season, result, compared, here, price, allShort }: Props) {
  return (
    <td className={here ? 'here' : undefined}>
      {!compared.fair && !allShort && !(price && compared.fair_priced_in) && (
        <small className="trouble">▲ not the whole list</small>
      )}
      {result.crowded_days > 0 && (
        <small className="trouble">
          ▲ crowded {result.crowded_days} {plural(result.crowded_days, 'day')}
        </small>
      )}
      {compared.lacks.map(({ code, crops }) => (
        <small key={code} className="trouble">
          ▲ {LACKS[code]?.(crops) ?? code}
        </small>
      ))}
      {compared.fitted !== null && <MakeItFit season={season} setup={compared.id} fitted={compared.fitted} />}
    </td>
  );
}

type Fitted = NonNullable<Compared['comparison']['setups'][number]['fitted']>;

/** What it comes to with lamps and mats enough, and the way to have it beside. */
function MakeItFit({ season, setup, fitted }: { season: Season; setup: string; fitted: Fitted }) {
  const store = useStore();
  const [why, setWhy] = useState<string | null>(null);
  const add = () => {
    setWhy(null);
    const request = { params: { path: { season: store.id } }, body: { fit: setup } };
    store
      .run('a set-up made to fit', () => answered(client.POST('/api/seasons/{season}/setups', request)))
      .then((state) => state.added && store.show(state.added))
      .catch((error: unknown) => setWhy(words(error)));
  };
  return (
    <small className={s.fit}>
      {money(fitted.per_wanted, season.currency, true)} {moreOf(fitted)}
      {fitted.crowded_days > 0 ? ', still short of room' : ''}
      <button type="button" className="plain" data-fit={setup} onClick={add}>
        Put it beside
      </button>
      {why !== null && (
        <span className="trouble" role="alert">
          {why}
        </span>
      )}
    </small>
  );
}
