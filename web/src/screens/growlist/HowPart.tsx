import { Input } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Choice } from '../../api/types';
import { useCatalogue } from '../../season/useCatalogue';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { belowWords, certainty, sowingSentence, warningWords } from '../../words/sowing';
import type { PanelProps } from './panel';
import { TwoStepPart } from './TwoStepPart';
import { methodName } from '../../season/methods';
import s from './growlist.module.css';

/** The catalogue's method that a season's method was made from. */
const schoolOf = (meta: unknown): string =>
  String((meta as { catalogue?: string } | undefined)?.catalogue ?? '').split(':')[0] ?? '';

/** How it is raised: every method with what it would cost for this crop; and how much is sown, by rule or as you say. */
export function HowPart({
  shown,
  crop,
  facts: { lot, method, site, raised },
  result,
  picture,
  methods,
}: PanelProps & { methods: Choice[] | null }) {
  const { season, setup } = shown;
  const store = useStore();
  const { data: catalogue } = useCatalogue();
  const us = season.units === 'us';
  const pick = (to: string) =>
    store.apply(
      [{ path: ['setups', setup.id, 'overrides', crop.id], to: to === setup.method ? null : to }],
      `method, ${lot.variety}`,
    );
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
                    {school && <small className="quiet">{school}</small>}
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
      )}
    </section>
  );
}

/** "Nine for six", two rows, the whole packet, one each: the odds are the answer. */
function SayHowMuch({ crop, setup, said }: { crop: string; setup: string; said: boolean }) {
  const store = useStore();
  const [text, setText] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const send = (say: string) => {
    setWhy(null);
    store
      .run('how much to sow', () =>
        answered(
          client.PUT('/api/seasons/{season}/crops/{crop}/sow', {
            params: { path: { season: store.id, crop } },
            body: { words: say, setup },
          }),
        ),
      )
      .then(() => setText(''))
      .catch((error: unknown) => setWhy(words(error)));
  };
  return (
    <form
      className={s.say}
      data-part="say"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') send(text);
      }}
    >
      <Input
        name="say"
        aria-label="Type how much to sow"
        placeholder="or type it: nine for six, two rows, the whole packet"
        value={text}
        status={why === null ? '' : 'error'}
        onChange={(event) => setText(event.target.value)}
      />
      {said && (
        <button type="button" className="plain" onClick={() => send('by rule')}>
          Back to the rule
        </button>
      )}
      {why !== null && (
        <p className="edit-why" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
