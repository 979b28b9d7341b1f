import type { Season } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { Said, SaidNumber } from '../../edit/Said';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { moneySign } from '../../words/money';
import { plural } from '../../words/sowing';
import s from './growlist.module.css';

type Offer = Season['nursery'][number];

/** What the nursery asks, once for the whole list; for which crops, and in what pots. */
export function NurseryPart({ season }: { season: Season }) {
  const store = useStore();
  return (
    <section aria-labelledby="nursery-title" className={s.nursery} data-part="nursery">
      <h2 className={s.partName} id="nursery-title">
        Nursery prices where you live
      </h2>
      <ul>
        {season.nursery.map((offer) => (
          <li key={offer.id} data-offer={offer.id}>
            <OfferLine season={season} offer={offer} />
          </li>
        ))}
      </ul>
      {season.nursery.length === 0 && <p className="quiet">No prices yet. Without one there is nothing to compare with.</p>}
      <AddThing
        lists={[['nursery', 'At the nursery', 'Something else']]}
        label="Add an offer"
        added={(id) => {
          // What is new is offered for every crop; where it is not sold it is ticked off in the crop's line.
          store.apply(
            season.crops.map((crop) => ({ path: ['crops', crop.id, 'nursery'], to: [...crop.nursery, id] })),
            'offered for every crop',
          );
        }}
      />
    </section>
  );
}

function OfferLine({ season, offer }: { season: Season; offer: Offer }) {
  const store = useStore();
  const save = (key: keyof Offer, label: string) => (to: unknown) =>
    store.change([{ path: ['nursery', offer.id, key], to }], `${label}, ${offer.name}`);
  const guessed = (offer.meta as { catalogue?: string } | undefined)?.catalogue !== undefined;
  return (
    <>
      <b>
        <Said<string>
          label={`Name of ${offer.name}`}
          name={`${offer.id}.name`}
          value={offer.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
        />
      </b>
      :{' '}
      <SaidNumber
        label={`Plants in ${offer.name}`}
        name={`${offer.id}.plants`}
        field="nursery.plants"
        value={offer.plants}
        save={save('plants', 'plants')}
      />{' '}
      {plural(offer.plants, 'plant')} for {moneySign(season.currency)}
      <SaidNumber
        label={`Price of ${offer.name}`}
        name={`${offer.id}.price`}
        field="nursery.price"
        value={offer.price}
        className="mono"
        save={(to) =>
          // A price of one's own is no guess of ours any more.
          store.change(
            [{ path: ['nursery', offer.id, 'price'], to }, ...(guessed ? [{ path: ['nursery', offer.id, 'meta'], to: {} }] : [])],
            `price, ${offer.name}`,
          )
        }
      />
      {guessed && <small className="quiet"> a guess: check this price</small>}
      {offer.pot_l !== null && (
        <>
          , in{' '}
          <SaidNumber
            label={`Pot of ${offer.name}`}
            name={`${offer.id}.pot_l`}
            field="nursery.pot_l"
            unit={season.units === 'us' ? 'fl oz' : 'L'}
            places={2}
            value={offer.pot_l}
            save={save('pot_l', 'pot')}
          />{' '}
          {season.units === 'us' ? 'fl oz' : 'L'} of soil each
        </>
      )}
      . <ForEveryCrop season={season} offer={offer} />{' '}
      <button
        type="button"
        className="plain"
        onClick={() => store.apply([{ path: ['nursery', offer.id], to: null }], `${offer.name} taken out`)}
      >
        Delete
      </button>
    </>
  );
}

/** Where some crops are not sold by it yet. */
function ForEveryCrop({ season, offer }: { season: Season; offer: Offer }) {
  const store = useStore();
  const without = season.crops.filter((crop) => !crop.nursery.includes(offer.id));
  if (without.length === 0) return null;
  return (
    <button
      type="button"
      className="plain"
      onClick={() =>
        store.apply(
          without.map((crop) => ({ path: ['crops', crop.id, 'nursery'], to: [...crop.nursery, offer.id] })),
          `${offer.name} for every crop`,
        )
      }
    >
      For every crop
    </button>
  );
}
