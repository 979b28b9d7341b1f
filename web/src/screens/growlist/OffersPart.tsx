import { EditInUnit } from '../../edit/EditInUnit';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import type { PanelProps } from './panel';
import s from './growlist.module.css';

/** What a nursery sells of this crop, and how it compares. */
export function OffersPart({ shown: { season }, crop, facts: { lot } }: PanelProps) {
  const store = useStore();
  const us = season.units === 'us';
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const set = (key: string, label: string) => (to: unknown) =>
    store.apply([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  return (
    <>
      <h2 className={s.partName}>At the nursery</h2>
      {season.nursery.length === 0 && <p className="quiet">This season has no nursery offers yet.</p>}
      {season.nursery.map((offer) => (
        <label key={offer.id} className="tick">
          <input
            type="checkbox"
            checked={crop.nursery.includes(offer.id)}
            onChange={(event) =>
              set(
                'nursery',
                'offers',
              )(event.target.checked ? [...crop.nursery, offer.id] : crop.nursery.filter((id) => id !== offer.id))
            }
          />
          {offer.name}, {offer.plants} for {money(offer.price, season.currency)}
        </label>
      ))}
      {crop.nursery.length > 0 && (
        <>
          <label className="tick">
            <input
              type="checkbox"
              name="substitute"
              checked={crop.substitute}
              onChange={(event) => set('substitute', 'not this variety')(event.target.checked)}
            />{' '}
            sold, but not this variety
          </label>
          <EditInUnit
            label="Smallest pot of a bought plant"
            name="pot_at_least"
            field="crops.pot_at_least_l"
            unit={us ? 'cup' : 'L'}
            value={crop.pot_at_least_l}
            maybe
            save={save('pot_at_least_l', 'pot wanted')}
          />
          <EditNumber
            label="Bought plants lost"
            name="bought_loss"
            after="%"
            field="crops.bought_loss"
            share
            value={crop.bought_loss}
            save={save('bought_loss', 'bought plants lost')}
          />
        </>
      )}
    </>
  );
}
