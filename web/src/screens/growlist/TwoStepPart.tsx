import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { day, today } from '../../words/dates';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';

interface Props {
  shown: OnScreen;
  crop: string;
  variety: string;
  method: string;
  site: string;
}

/** Sow few, look, sow the rest: what that would save against sowing all at once. */
export function TwoStepPart({ shown: { id, season, setup, revision }, crop, variety, method, site }: Props) {
  const store = useStore();
  const [asked, ask] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['two-step', id, setup.id, crop, { revision }],
    queryFn: () =>
      answered(
        client.GET('/api/seasons/{season}/setups/{setup}/crops/{crop}/sow-again', {
          params: { path: { season: id, setup: setup.id, crop }, query: { on: today() } },
        }),
      ),
    enabled: asked,
  });
  if (!asked)
    return (
      <button type="button" className="plain" data-action="two-step" onClick={() => ask(true)}>
        Or sow in two steps?
      </button>
    );
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data) return <p aria-busy="true">Working it out…</p>;
  const two = data.two_step;
  if (two === null)
    return (
      <p className="quiet">
        Sowing twice does not help here. The crop is not sold as a plant, is sown already, or comes up too late to sow again.
      </p>
    );
  const sites = (n: number) => `${n} ${plural(n, site)}`;
  return (
    <p data-part="two-step">
      {two.more === 0 || two.saves <= 0.005 ? (
        <>All at once is as cheap: {sites(two.at_once)}, with what may be missing bought.</>
      ) : (
        <>
          <b>
            {sites(two.first)} now, {two.more} more if fewer than {two.below} are up on {day(two.look_on, season.units === 'us')}
          </b>
          : with what may be missing bought, that saves {money(two.saves, season.currency)} against {sites(two.at_once)} at once.{' '}
          <button
            type="button"
            className="plain"
            data-action="take-two-step"
            onClick={() =>
              store.apply([{ path: ['crops', crop, 'sow'], to: { method, sites: two.first } }], `in two steps, ${variety}`)
            }
          >
            Sow {two.first} now
          </button>
        </>
      )}
    </p>
  );
}
