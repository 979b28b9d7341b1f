import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { money, moneySign } from '../../words/money';
import type { PanelProps } from './panel';
import s from './growlist.module.css';

/** What the plants are for, and what those that are sold bring in. */
export function PurposePart({ shown: { season }, crop, result, facts: { lot } }: PanelProps) {
  const store = useStore();
  const split = crop.split ?? { keep: crop.wanted, give: 0, sell: 0 };
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const share = (part: 'keep' | 'give' | 'sell') => (to: number) => save('split', part)({ ...split, [part]: to });
  return (
    <>
      <h2 className={s.partName}>Purpose</h2>
      <EditNumber label="To plant" name="keep" field="crops.split.keep" value={split.keep} save={share('keep')} />
      <EditNumber label="To give away" name="give" field="crops.split.give" value={split.give} save={share('give')} />
      <EditNumber label="To sell" name="sell" field="crops.split.sell" value={split.sell} save={share('sell')} />
      {split.sell > 0 && (
        <>
          <EditNumber
            label="A plant is sold for"
            name="sale_price"
            before={moneySign(season.currency)}
            field="crops.sale_price"
            value={crop.sale_price}
            save={save('sale_price', 'what a plant is sold for')}
          />
          {result.income !== null && crop.sale_price > 0 && (
            <p className="quiet" data-test="income">
              On average sales bring in {money(result.income, season.currency)}: plants are sold when your own and those to give
              away are there.
            </p>
          )}
        </>
      )}
    </>
  );
}
