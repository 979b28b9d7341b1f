import { clsx } from 'clsx';
import { Select } from 'antd';
import { useState } from 'react';
import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';
import type { Season } from '../../api/types';
import { headWords } from '../../words/groups';
import { money } from '../../words/money';
import s from './compare.module.css';

interface Props {
  season: Season;
  id: number;
  revision: number;
  here: string;
  other: string;
}

/** What makes two ways differ, in words with its pennies, largest first. */
export function DifferencePart({ season, id, revision, here, other }: Props) {
  const [picked, setPicked] = useState<string | null>(null);
  const to = picked !== null && season.setups.some((row) => row.id === picked) && picked !== here ? picked : other;
  const { data } = useOfRevision(
    ['difference', id, here, to],
    revision,
    () =>
      answered(client.GET('/api/seasons/{season}/difference', { params: { path: { season: id }, query: { from: here, to } } })),
    here !== to,
  );
  const name = (setup: string) => season.setups.find((row) => row.id === setup)?.name ?? setup;
  const sum = (amount: number) => money(Math.abs(amount), season.currency);
  return (
    <section aria-labelledby="difference-title">
      <h2 id="difference-title">Why two set-ups cost different amounts</h2>
      <div className={s.differencePick}>
        Compare with {name(here)}:{' '}
        <Select
          aria-label="The other set-up"
          value={to}
          onChange={setPicked}
          popupMatchSelectWidth={false}
          options={season.setups.filter((row) => row.id !== here).map((row) => ({ value: row.id, label: row.name }))}
        />
      </div>
      {here !== to && data && data.from === here && data.to === to && (
        <>
          <p data-test="difference">
            {name(to)} fills the list for {sum(data.total)} {data.total < 0 ? 'less' : 'more'}.
          </p>
          <table className="receipt">
            <tbody>
              {data.parts.map((part) => (
                <tr key={part.head}>
                  <th scope="row">
                    {part.head === 'heat_credit'
                      ? part.by < 0
                        ? 'More heat you need not buy'
                        : 'Less heat you need not buy'
                      : `${part.by < 0 ? 'Less' : 'More'} for ${(part.head === 'shortfall' ? 'plants bought for those that fail' : headWords(part.head)).toLowerCase()}`}
                  </th>
                  <td className={clsx('mono', part.by < 0 ? 'cheaper' : 'dearer')}>
                    {part.by < 0 ? '−' : '+'}
                    {sum(part.by)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
