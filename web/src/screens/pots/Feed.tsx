import type { Potting, Season, Supply } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import { SaidChoice } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';
import { useSupplies } from '../../season/supplies';
import { money } from '../../words/money';
import { fromUnit, inUnit, perVolume, type Unit } from '../../words/units';
import { SPOONED, tidy } from './small';
import s from './pots.module.css';

/** Where the bottle's own dose is not known, of its unit in a litre. */
const USUAL_DOSE = 0.004;

/** Feed by the litre made up. */
export function Feed({ season, potting }: { season: Season; potting: Potting }) {
  const store = useStore();
  const { feed } = season;
  const { feeds, doseOf } = useSupplies(season);
  const usualDose = (row: Supply | undefined) => (row && doseOf(row)) ?? feed?.dose_per_l ?? USUAL_DOSE;
  const set = (to: unknown) => store.apply([{ path: ['feed'], to }], 'feed');
  if (feed === null)
    return (
      <p>
        No feed.{' '}
        {feeds[0] ? (
          <button
            type="button"
            className="plain"
            onClick={() => set({ supply: feeds[0]?.id, dose_per_l: usualDose(feeds[0]), litres_per_flat: 1 })}
          >
            Feed them
          </button>
        ) : (
          <small className="quiet">To feed your plants, add a bottle of feed above.</small>
        )}
      </p>
    );
  const supply = season.supplies.find(({ id }) => id === feed.supply);
  const save = (key: keyof typeof feed) => (to: unknown) => store.change([{ path: ['feed', key], to }], 'feed');
  const us = season.units === 'us';
  const water: Unit = us ? 'gal' : 'L';
  const small = us && supply !== undefined ? SPOONED[supply.unit] : undefined;
  // As the bottle says it: tablespoons to a gallon, or of its unit to a litre.
  const dose = {
    word: small ?? supply?.unit ?? '',
    times: (small ? inUnit(1, small) : 1) / inUnit(1, water),
  };
  return (
    <section aria-labelledby="feed-title" className={s.feed}>
      <h3 id="feed-title">Feed</h3>
      <p>
        <SaidChoice
          label="Feed"
          name="feed_supply"
          value={feed.supply}
          options={feeds.map(({ id, name }) => [id, name] as const)}
          choose={(to) => set({ ...feed, supply: to, dose_per_l: usualDose(feeds.find(({ id }) => id === to)) })}
        />
        {potting.feed && (
          <>
            :{' '}
            <span className="mono copper">{money(perVolume(potting.feed.per_l, fromUnit(1, water)), season.currency, true)}</span>{' '}
            a {us ? 'gallon' : 'litre'} made up, {tidy(inUnit(potting.feed.litres, water))} {water} over the season.
          </>
        )}
      </p>
      <EditInUnit
        label={`To a ${us ? 'gallon' : 'litre'} of water`}
        name="dose_per_l"
        after={dose.word}
        places={us ? 2 : 4}
        field="feed.dose_per_l"
        value={perVolume(feed.dose_per_l, dose.times)}
        save={(to) => save('dose_per_l')((to ?? 0) / dose.times)}
      />
      <EditInUnit
        label="Water for a tray, each time"
        name="litres_per_flat"
        unit={us ? 'qt' : 'L'}
        field="feed.litres_per_flat"
        value={feed.litres_per_flat}
        save={save('litres_per_flat')}
      />
      <button type="button" className="plain" onClick={() => set(null)}>
        No feed
      </button>
    </section>
  );
}
