import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';
import { parseNumber } from '../../edit/numbers';
import { Said } from '../../edit/Said';
import { inUnit } from '../../words/units';
import s from './shed.module.css';
import { LOCALE } from '../../words/region';

interface Props {
  season: number;
  setup: string;
  us: boolean;
  cracked: Record<string, number>;
  crack: (cracked: Record<string, number>) => void;
}

const tidy = (value: number): string => value.toLocaleString(LOCALE, { maximumFractionDigits: value < 20 ? 1 : 0 });

export const useLeftovers = (season: number | undefined, setup: string | undefined) =>
  useQuery({
    queryKey: ['leftovers', season, setup],
    enabled: season !== undefined && setup !== undefined,
    queryFn: () =>
      answered(
        client.GET('/api/seasons/{season}/setups/{setup}/leftovers', {
          params: { path: { season: season ?? 0, setup: setup ?? '' } },
        }),
      ),
  });

/** What the season leaves by its plan and what was bought; what cracked is said here. */
export function Leftovers({ season, setup, us, cracked, crack }: Props) {
  const { data } = useLeftovers(season, setup);
  if (!data) return <p className="quiet">Counting what is left…</p>;
  if (data.rolled) return <p className="quiet">This season was carried over already.</p>;
  if (data.leftovers.length === 0) return <p className="quiet">Nothing is left over.</p>;
  const said = (value: number, unit: string) =>
    value === 0
      ? '–'
      : unit === 'L'
        ? us
          ? `${tidy(inUnit(value, 'qt'))} qt`
          : `${tidy(value)} L`
        : `${tidy(value)}${unit === 'each' ? '' : ` ${unit}`}`;
  return (
    <div className={s.wide} role="region" aria-label="What is left" tabIndex={0}>
      <table className="choices" data-part="leftovers">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Had</th>
            <th scope="col">Bought</th>
            <th scope="col">Used</th>
            <th scope="col">Cracked</th>
            <th scope="col">Left</th>
          </tr>
        </thead>
        <tbody>
          {data.leftovers.map((one) => {
            const key = `${one.kind} ${one.id}`;
            const breaks = one.kind === 'container' || one.kind === 'trayware';
            const gone = breaks ? (cracked[key] ?? 0) : 0;
            return (
              <tr key={key}>
                <th scope="row">{one.name}</th>
                <td>{said(one.before, one.unit)}</td>
                <td>{said(one.bought, one.unit)}</td>
                <td>{said(one.used, one.unit)}</td>
                <td>
                  {breaks && one.left > 0 ? (
                    <Said<number>
                      label={`Cracked of ${one.name}`}
                      name={`cracked-${one.id}`}
                      value={gone}
                      show={String}
                      parse={(typed) => parseNumber(typed, { least: 0, most: one.left, whole: true })}
                      inputMode="decimal"
                      save={async (to) => crack({ ...cracked, [key]: to })}
                    />
                  ) : (
                    ''
                  )}
                </td>
                <td>
                  {/* As it is typed; the season that follows gets it from the core. */}
                  {/* eslint-disable-next-line jolly/season-arithmetic */}
                  {said(Math.max(0, one.left - gone), one.unit)} <span className="quiet">{one.known}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
