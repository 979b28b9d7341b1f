import type { Choice } from '../../api/types';
import { methodName } from '../../season/methods';
import { useStore } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { money } from '../../words/money';
import { certainty, warningWords } from '../../words/sowing';
import { spelled } from '../../words/spelling';
import type { PanelProps } from './panel';

/** The catalogue's method that a season's method was made from. */
const schoolOf = (meta: unknown): string =>
  String((meta as { catalogue?: string } | undefined)?.catalogue ?? '').split(':')[0] ?? '';

type Props = Pick<PanelProps, 'shown' | 'crop' | 'facts' | 'picture'> & { methods: Choice[] };

/** Every method with what it would cost for this crop, one of them chosen. */
export function MethodChoices({ shown: { season, setup }, crop, facts: { lot, raised }, picture, methods }: Props) {
  const store = useStore();
  const { data: catalogue } = useCatalogue();
  const pick = (to: string) =>
    store.apply(
      [{ path: ['setups', setup.id, 'overrides', crop.id], to: to === setup.method ? null : to }],
      `method, ${lot.variety}`,
    );
  return (
    <table className="choices">
      <caption className="hidden">Every method with what it would cost for this crop</caption>
      <thead>
        <tr>
          <th scope="col">Method</th>
          <th scope="col">Cost each</th>
          <th scope="col">Chance of enough, %</th>
          <th scope="col">Your time</th>
          <th scope="col">The list</th>
        </tr>
      </thead>
      <tbody>
        {methods.map((choice) => {
          const row = season.methods.find(({ id }) => id === choice.id);
          const school = catalogue?.schools[schoolOf(row?.meta)];
          const failed = choice.id !== 'nursery' && !choice.grown;
          return (
            <tr key={choice.id} className={choice.id === raised ? 'now' : undefined}>
              <th scope="row">
                <label className="tick">
                  <input
                    type="radio"
                    name={`method-${crop.id}`}
                    value={choice.id}
                    checked={choice.id === raised}
                    onChange={() => pick(choice.id)}
                  />{' '}
                  {row ? methodName(season, row.id) : 'Bought at the nursery'}
                </label>
                {school && <small className="quiet">{spelled(school, season.units === 'us')}</small>}
                {failed && <small className="trouble">▲ {warningWords(choice.warnings[0] ?? '')}</small>}
              </th>
              <td className="mono">
                {choice.id === 'nursery'
                  ? money(picture.line.nursery_each, season.currency, true)
                  : money(choice.per_finished, season.currency, true)}
              </td>
              <td className="mono">{choice.p_enough === null ? '–' : certainty(choice.p_enough)}</td>
              <td className="mono">
                {choice.hours === null || choice.hours === 0
                  ? '–'
                  : choice.hours < 1
                    ? `${Math.round(choice.hours * 60)} min`
                    : `${choice.hours.toFixed(1)} h`}
              </td>
              <td className="mono">{failed ? '–' : money(choice.fill_cost, season.currency)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
