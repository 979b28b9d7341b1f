import type { Compared, Setup } from '../../api/types';
import { moveInTable } from '../../edit/moveInTable';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { FigureRows } from './FigureRows';
import { LacksCell, LeadCell } from './LeadCell';
import { StackRow } from './StackRow';
import s from './compare.module.css';

interface Props {
  shown: OnScreen;
  data: Compared;
  setups: Setup[];
  /** Whether the nursery's price of what a set-up cannot supply is added. */
  price: boolean;
}

/** The set-ups as columns: their stacks of coins, what a plant costs, what is lacking, and figure by figure. */
export function SideBySide({ shown: { season, setup, pictures }, data, setups, price }: Props) {
  const store = useStore();
  const results = new Map(data.result.setups.map((result) => [result.id, result]));
  // What every way is short of is said once, above.
  const allShort = data.comparison.setups.every(({ fair }) => !fair);
  const anySold = data.result.setups.some((result) => result.same_per_plant !== null);
  const sideBySide = (Cell: typeof LeadCell) =>
    setups.map((row) => {
      const [result, compared] = [results.get(row.id), data.comparison.setups.find(({ id }) => id === row.id)];
      return result && compared ? (
        <Cell
          key={row.id}
          season={season}
          result={result}
          compared={compared}
          here={row.id === setup.id}
          price={price}
          allShort={allShort}
        />
      ) : (
        <td key={row.id} />
      );
    });
  return (
    <div className={s.compareScroll} tabIndex={0} role="region" aria-label="Set-ups side by side">
      <table className={s.compare} style={{ ['--ways' as string]: setups.length }} onKeyDown={moveInTable}>
        <thead className={s.hiddenHead}>
          <tr>
            <th scope="col">What</th>
            {setups.map((row) => (
              <th key={row.id} scope="col">
                {row.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <StackRow
            stacks={data.stacks}
            compared={data.comparison}
            setups={season.setups}
            currency={season.currency}
            shown={setup.id}
          />
          <tr className={s.lead}>
            <th scope="row">{anySold ? 'Cost each, plants a nursery sells too' : 'Cost each, all plants wanted'}</th>
            {sideBySide(LeadCell)}
          </tr>
          <tr className={s.names}>
            <th scope="row">
              <span className="hidden">Set-up</span>
            </th>
            {setups.map((row) => (
              <td key={row.id} className={row.id === setup.id ? 'here' : undefined}>
                <button
                  type="button"
                  className="link"
                  aria-pressed={row.id === setup.id}
                  data-setup={row.id}
                  onClick={() => store.show(row.id)}
                >
                  {row.name}
                </button>
              </td>
            ))}
          </tr>
          <tr className={s.lacks}>
            <th scope="row">
              <span className="hidden">What it lacks</span>
            </th>
            {sideBySide(LacksCell)}
          </tr>
          <FigureRows season={season} here={setup.id} wanted={pictures.wanted} setups={setups} data={data} />
        </tbody>
      </table>
    </div>
  );
}
