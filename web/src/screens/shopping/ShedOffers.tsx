import { Link } from 'react-router';
import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';
import { useStore } from '../../season/SeasonContext';
import s from './shopping.module.css';
import { LOCALE } from '../../words/region';

const tidy = (value: number): string => value.toLocaleString(LOCALE, { maximumFractionDigits: 1 });

/** Where the season says other than the shed of what is there; taken over one by one or all. */
export function ShedOffers({ revision }: { revision: number }) {
  const store = useStore();
  const { data } = useOfRevision(['shed-offers', store.id], revision, () =>
    answered(client.GET('/api/seasons/{season}/shed', { params: { path: { season: store.id } } })),
  );
  const offers = data?.offers ?? [];
  const take = (some: typeof offers, label: string) =>
    store.apply(
      some.flatMap(({ path, to, also }) => [...also, { path, to }]),
      label,
    );
  if (offers.length === 0) return null;
  return (
    <section aria-labelledby="shed-offers-title" className={s.limit} data-part="shed-offers">
      <h2 id="shed-offers-title">In the shed</h2>
      <ul className={s.steps}>
        {offers.map((offer) => (
          <li key={offer.path.join(' ')}>
            {offer.name}: {tidy(offer.shed)}
            {offer.unit === 'each' ? '' : ` ${offer.unit}`} there, {tidy(offer.now)} in this season{' '}
            <button type="button" className="plain" onClick={() => take([offer], `from the shed, ${offer.name}`)}>
              use this count
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="plain" data-action="all-shed" onClick={() => take(offers, 'from the shed')}>
        Use all {offers.length}
      </button>{' '}
      <Link className="plain" to="/shed">
        The shed
      </Link>
    </section>
  );
}
