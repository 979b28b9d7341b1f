import { useState } from 'react';
import type { NewPurchase, Purchase, Season } from '../../api/types';
import { parseNumber, showNumber } from '../../edit/numbers';
import { Said } from '../../edit/Said';
import { parseDate } from '../../edit/text';
import { moneySign } from '../../words/money';
import { plural } from '../../words/sowing';
import { InsteadForm } from './InsteadForm';
import s from './shopping.module.css';

interface Props {
  season: Season;
  bought: Purchase;
  /** Not yet with the server. */
  waiting: boolean;
  save: (bought: NewPurchase) => Promise<unknown>;
  remove: () => void;
}

/** What was bought: packs, money, shop and day, each changed where it stands. */
export function PurchaseLine({ season, bought, waiting, save, remove }: Props) {
  const [instead, setInstead] = useState(false);
  const { id, ...rest } = bought;
  const put = (changed: Partial<NewPurchase>) => save({ ...rest, ...changed } as NewPurchase);
  return (
    <div className={s.bought} data-purchase={id}>
      <span>
        <Said<number>
          label={`Packs of ${bought.name}`}
          name={`${id}.packs`}
          value={bought.packs}
          show={String}
          parse={(typed) => parseNumber(typed, { least: 1, most: 1_000_000, whole: true })}
          inputMode="decimal"
          save={(packs) => put({ packs })}
        />{' '}
        {plural(bought.packs, 'pack')} for {moneySign(season.currency)}
        <Said<number>
          label={`Paid for ${bought.name}`}
          name={`${id}.paid`}
          value={bought.paid}
          show={(value) => showNumber(value, 'money')}
          parse={(typed) => parseNumber(typed, { least: 0, most: 1_000_000_000, kind: 'money' })}
          inputMode="decimal"
          className="mono copper"
          save={(paid) => put({ paid })}
        />{' '}
        at{' '}
        <Said<string>
          label={`Shop of ${bought.name}`}
          name={`${id}.shop`}
          value={bought.shop}
          show={(value) => (value === '' ? 'a shop' : value)}
          parse={(typed) => ({ ok: true, value: typed.trim() === 'a shop' ? '' : typed.trim().slice(0, 100) })}
          save={(shop) => put({ shop })}
        />{' '}
        on{' '}
        <Said<string>
          label={`Day ${bought.name} was bought`}
          name={`${id}.on`}
          value={bought.on}
          show={String}
          parse={parseDate}
          save={(on) => put({ on })}
        />
        {waiting && <em> · kept here, sent when the server answers</em>}
      </span>
      <span className={s.tools}>
        {bought.kind !== 'trip' && (
          <button
            type="button"
            className="plain"
            data-action="instead"
            onClick={() => setInstead(!instead)}
            aria-expanded={instead}
          >
            I bought something else
          </button>
        )}
        <button type="button" className="plain" data-action="unbuy" aria-label={`Undo: ${bought.name}`} onClick={remove}>
          Undo
        </button>
      </span>
      {instead && <InsteadForm season={season} bought={bought} save={put} done={() => setInstead(false)} />}
    </div>
  );
}
