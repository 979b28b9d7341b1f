import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, client, words } from '../../api/client';
import type { Shed, ShedChange } from '../../api/types';
import { plural } from '../../words/sowing';
import { AddToShed } from './AddToShed';
import { KINDS } from './kinds';
import { RollOn } from './RollOn';
import { ShedLine } from './ShedLine';
import s from './shed.module.css';

/** Seed, mix, pots and lamps across seasons: what is left, where it lies, how long it has served. */
export function ShedScreen() {
  const queries = useQueryClient();
  const { data, error } = useQuery({ queryKey: ['shed'], queryFn: () => answered(client.GET('/api/shed')) });
  const learn = (shed: Shed) => queries.setQueryData(['shed'], shed);
  const change = useMutation({
    mutationFn: ({ item, body }: { item: number; body: ShedChange }) =>
      answered(client.PATCH('/api/shed/{item}', { params: { path: { item } }, body })),
    onSuccess: learn,
  });
  if (error && !data)
    return (
      <main className="work" id="work">
        <p role="alert">{words(error)}</p>
      </main>
    );
  if (!data) return <main className="work" id="work" aria-busy="true" />;
  const save = (item: number) => (body: ShedChange) => change.mutateAsync({ item, body });
  return (
    <main className="work" id="work">
      <h1>The shed</h1>
      <p className="quiet">
        What seasons left over and what you put in. A season keeps its own count; use the shed’s count under Shopping.
      </p>
      <AddToShed learn={learn} />
      {change.error && (
        <p className="trouble" role="alert">
          {words(change.error)}
        </p>
      )}
      {data.items.length === 0 && (
        <p className="empty">The shed is empty. Add what you have, or carry a season over when it ends.</p>
      )}
      {KINDS.map(([kind, title]) => {
        const rows = data.items.filter((item) => item.kind === kind);
        return rows.length === 0 ? null : (
          <section key={kind} aria-labelledby={`shed-${kind}`}>
            <h2 id={`shed-${kind}`}>{title}</h2>
            <ul className={s.items} data-part={`shed-${kind}`}>
              {rows.map((item) => (
                <ShedLine key={item.id} item={item} save={save(item.id)} />
              ))}
            </ul>
          </section>
        );
      })}
      {data.bought.length > 0 && (
        <section aria-labelledby="shed-bought">
          <h2 id="shed-bought">Bought for seasons that are not over</h2>
          <ul className={s.items}>
            {data.bought.map((one, index) => (
              <li key={index}>
                {one.name}: {one.packs} {plural(one.packs, 'pack')} <small>{one.season}</small>
              </li>
            ))}
          </ul>
        </section>
      )}
      {data.gone.length > 0 && (
        <details>
          <summary>{data.gone.length} thrown out</summary>
          <ul className={s.items}>
            {data.gone.map((item) => (
              <li key={item.id}>
                {item.name} {item.packed_for ?? ''} <small>{[item.gone_on, item.gone_why].filter(Boolean).join(', ')}</small>{' '}
                <button type="button" className="plain" onClick={() => void save(item.id)({ back: true })}>
                  Put back
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
      <RollOn rolled={data.rolled} changed={() => void queries.invalidateQueries({ queryKey: ['shed'] })} learn={learn} />
    </main>
  );
}
