import type { Choice } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { belowWords, sowingSentence, warningWords } from '../../words/sowing';
import { MethodChoices } from './MethodChoices';
import type { PanelProps } from './panel';
import { SayHowMuch } from './SayHowMuch';
import { TwoStepPart } from './TwoStepPart';
import s from './growlist.module.css';

/** How it is raised: every method with what it would cost for this crop; and how much is sown, by rule or as you say. */
export function HowPart({ shown, crop, facts, result, picture, methods }: PanelProps & { methods: Choice[] | null }) {
  const { lot, method, site, raised } = facts;
  const { season, setup } = shown;
  const store = useStore();
  const us = season.units === 'us';
  return (
    <section aria-label="How it is raised">
      <h2 className={s.partName}>How much to sow</h2>
      {method && result.grown ? (
        <>
          <p data-test="sentence">{sowingSentence(result, method, crop.wanted, site, us)}</p>
          {picture.below_asked !== null && (
            <p className="quiet" data-test="below-asked">
              {belowWords(picture.below_asked, us)}
            </p>
          )}
          {result.surplus !== null && result.surplus >= 0.5 && (
            <p className="quiet">
              About {Math.round(result.surplus)} more than you want. All of them cost {money(result.cost, season.currency)}.
            </p>
          )}
          <SayHowMuch crop={crop.id} setup={setup.id} said={crop.sow?.method === method.id} />
          {method.pattern === 'per_site' && (
            <TwoStepPart key={crop.id} shown={shown} crop={crop.id} variety={lot.variety} method={method.id} site={site} />
          )}
          <label className="tick">
            <input
              type="checkbox"
              name="move_on"
              checked={crop.move_on === 'all'}
              onChange={(event) =>
                store.apply(
                  [{ path: ['crops', crop.id, 'move_on'], to: event.target.checked ? 'all' : 'enough' }],
                  `moving on, ${lot.variety}`,
                )
              }
            />{' '}
            move on everything that comes up
          </label>
        </>
      ) : (
        <p className="quiet">
          {raised === 'nursery' ? 'This set-up buys this crop as plants.' : warningWords(result.warnings[0] ?? '')}
        </p>
      )}
      <h2 className={s.partName}>How it is raised</h2>
      {methods === null ? (
        <p className="quiet">Costing every method…</p>
      ) : (
        <MethodChoices shown={shown} crop={crop} facts={facts} picture={picture} methods={methods} />
      )}
    </section>
  );
}
