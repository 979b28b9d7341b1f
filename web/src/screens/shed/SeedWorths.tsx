import { useQuery } from '@tanstack/react-query';
import { answered, client, words } from '../../api/client';
import type { SeedWorthsState } from '../../api/types';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import s from './shed.module.css';

interface Props {
  season: number;
  setup: string;
  currency: string;
}

type Worth = SeedWorthsState['lots'][number];

function verdict(one: Worth, currency: string): string {
  if (one.keep) return `Keep it: a new packet would cost ${money(one.new_dearer, currency, true)} more over the season.`;
  const saves = money(-one.new_dearer, currency, true);
  return one.hardly
    ? `Keep it: a new packet would save only ${saves} over the season.`
    : `A new packet saves ${saves} over the season: fewer cells for the same plants.`;
}

/** For each old packet: what it does to the season's cost, and whether ten seeds on damp paper would pay. */
export function SeedWorths({ season, setup, currency }: Props) {
  const { data, error } = useQuery({
    queryKey: ['seed-worth', season, setup],
    queryFn: () =>
      answered(client.GET('/api/seasons/{season}/setups/{setup}/seed-worth', { params: { path: { season, setup } } })),
  });
  if (error && !data) return <p role="alert">{words(error)}</p>;
  if (!data) return <p className="quiet">Weighing the old packets…</p>;
  if (data.lots.length === 0) return <p className="quiet">This season has no seed of earlier years.</p>;
  return (
    <ul className={s.items}>
      {data.lots.map((one) => (
        <li key={one.lot}>
          <b>{one.name}</b>
          <span>
            {one.age} {plural(one.age, 'year')} old, about {one.alive_of_hundred} % germination, {Math.round(one.left)} seeds
            left.
          </span>
          <span className={one.keep || one.hardly ? 'verdict-grow' : 'trouble'}>{verdict(one, currency)}</span>
          <span>
            {one.test_worth === null
              ? 'It was tested, or too few seeds are left to test.'
              : one.test_pays
                ? `A test of ten on damp paper pays ${money(one.test_worth, currency, true)}${
                    one.throw_below === null ? '' : `: throw it out if fewer than ${one.throw_below} come up`
                  }.`
                : 'A test would not change what to do.'}
          </span>
        </li>
      ))}
    </ul>
  );
}
