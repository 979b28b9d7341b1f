import type { BenchPlace, Season } from '../../api/types';
import { SaidNumber } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';

/** All of it on together, against what the outlet may carry. */
export function OutletLoad({ season, place }: { season: Season; place: BenchPlace }) {
  const store = useStore();
  const row = season.places.find(({ id }) => id === place.id);
  const { load } = place;
  const outlet = row?.outlet ?? null;
  const put = (to: unknown) => store.apply([{ path: ['places', place.id, 'outlet'], to }], 'outlet');
  const save = (key: 'volts' | 'amps') => (to: unknown) =>
    store.change([{ path: ['places', place.id, 'outlet', key], to }], 'outlet');
  const us = season.units === 'us';
  return (
    <p className={load.over ? 'trouble' : undefined} data-part="load">
      Everything switched on {load.watts.toFixed(0)} W
      {load.amps !== null && load.most !== null && outlet && (
        <>
          , {load.amps.toFixed(1)} A on{' '}
          <SaidNumber
            label="Volts of the outlet"
            name="volts"
            field="places.outlet.volts"
            value={outlet.volts}
            save={save('volts')}
          />{' '}
          V,{' '}
          <SaidNumber label="Amps of its fuse" name="amps" field="places.outlet.amps" value={outlet.amps} save={save('amps')} />{' '}
          A: it may carry {load.most.toFixed(1)} A for hours
          {load.over ? '. ▲ That is too much for it.' : '.'}
        </>
      )}
      {outlet === null && (
        <>
          {'. '}
          <button
            type="button"
            className="plain"
            data-action="outlet"
            onClick={() => put(us ? { volts: 120, amps: 15 } : { volts: 230, amps: 16 })}
          >
            Is that too much for the outlet?
          </button>
        </>
      )}{' '}
      <b>{us ? 'GFCI' : 'RCD'}</b> at the outlet, drip loops, plugs above the water line, no chained leads. The local code and a
      licensed electrician have the last word, and the maker’s label.
    </p>
  );
}
