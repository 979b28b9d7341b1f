import { Link } from 'react-router';
import { words } from '../../api/client';
import type { CameTo, Season } from '../../api/types';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { shortDay } from '../../words/dates';
import { CAUSES } from '../../words/log';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { BeliefsPart } from './BeliefsPart';
import { Bridge, STEP_WORDS } from './Bridge';
import { EndPart } from './EndPart';
import s from './reckoning.module.css';
import { useReckoning } from './useReckoning';

/** What the season came to, where plants and money went, and what the next season is to believe. */
export function ReckoningScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Reckoning shown={shown} />}</PlanningPage>;
}

function Reckoning({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
  const { data, error } = useReckoning(id, setup.id, revision);
  if (!data)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Reckoning…
      </p>
    );
  const came = data.came_to;
  const known = came.steps.some((step) => step.known > 0);
  return (
    <>
      <h1>{title(came, season, known)}</h1>
      <p className={s.lead} data-part="lead">
        {lead(came, season, known)}
      </p>
      <div className="list-tools">
        <SetupPicker />
        <Link to={`/seasons/${id}/advice`}>Advice for this set-up</Link>
        <button type="button" className="plain" onClick={() => window.print()}>
          Print it
        </button>
      </div>
      {came.steps[0]?.per_finished == null ? (
        <p className="empty">This set-up grows nothing. Choose a set-up that does.</p>
      ) : (
        <Bridge season={season} cameTo={came} />
      )}
      <Facts came={came} />
      <Losses came={came} season={season} />
      <EndPart season={id} questions={data.end} over={came.over} />
      <BeliefsPart shown={shown} beliefs={data.beliefs} />
    </>
  );
}

function title(came: CameTo, season: Season, known: boolean): string {
  const [planned, real] = [came.steps[0]?.per_finished ?? null, came.steps.at(-1)?.per_finished ?? null];
  if (planned === null) return 'Nothing to add up';
  if (real === null) return 'No plant was finished';
  if (!known) return `Planned: ${money(planned, season.currency, true)} a plant`;
  // Until its owner says that it is over, it is what it is: so far, and the rest as planned.
  return came.over
    ? `It came to ${money(real, season.currency, true)} a plant, not ${money(planned, season.currency, true)}`
    : `So far ${money(real, season.currency, true)} a plant; planned ${money(planned, season.currency, true)}`;
}

/** What moved it most, in a sentence. */
function lead(came: CameTo, season: Season, known: boolean): string {
  if (!known)
    return 'Nothing is written down yet. Tick off what you buy under Shopping and what you do under Today. Then this page shows what the season cost.';
  const most = [...came.steps.slice(1)].sort((a, b) => Math.abs(b.moved ?? 0) - Math.abs(a.moved ?? 0))[0];
  const moved =
    most && Math.abs(most.moved ?? 0) > 0.0005
      ? ` ${STEP_WORDS[most.key] ?? ''} moved it most: ${money(Math.abs(most.moved ?? 0), season.currency, true)} ${(most.moved ?? 0) > 0 ? 'dearer' : 'cheaper'}.`
      : '';
  const verb = came.over ? ((came.kept ?? 0) >= 0 ? 'saved' : 'lost') : (came.kept ?? 0) >= 0 ? 'would save' : 'would lose';
  const kept = came.kept === null ? '' : ` Against buying you ${verb} ${money(Math.abs(came.kept), season.currency)}`;
  const beside = came.beside > 0 ? ` ${money(came.beside, season.currency)} was spent on things that were not on the list.` : '';
  const wage = came.wage === null || came.kept === null ? '' : `, ${money(came.wage, season.currency)} for an hour of work`;
  const rest = came.over ? '' : ' The rest is as planned.';
  return `${came.out} finished plants${came.over ? '' : ' so far'}, ${came.wanted} wanted.${rest}${moved}${beside}${kept}${wage}${kept ? '.' : ''}`;
}

/** How much of it is known. */
function Facts({ came }: { came: CameTo }) {
  const what: Record<string, string> = {
    prices: 'things at the price paid',
    used: 'crops with what was sown',
    power: 'lamps and mats measured',
    up: 'crops counted',
    lived: 'crops finished',
  };
  const steps = came.steps.slice(1).filter((step) => step.of > 0);
  if (steps.length === 0) return null;
  return (
    <p className="quiet" data-part="known">
      Known so far: {steps.map((step) => `${step.known} of ${step.of} ${what[step.key] ?? ''}`).join(', ')}. The rest is as
      planned.
    </p>
  );
}

function Losses({ came, season }: { came: CameTo; season: Season }) {
  const us = season.units === 'us';
  return (
    <section aria-labelledby="losses-title" data-part="losses">
      <h2 id="losses-title">Where plants were lost</h2>
      {came.losses.length === 0 && <p className="quiet">No losses are written down.</p>}
      <table className={s.losses}>
        <tbody>
          {came.losses.map((loss) => (
            <tr key={loss.cause}>
              <th scope="row">{CAUSES.find(([key]) => key === loss.cause)?.[1] ?? loss.cause}</th>
              <td className="mono">{loss.count}</td>
              <td>
                {loss.where
                  .slice(0, 3)
                  .map(
                    ({ crop, tray, week, count }) =>
                      `${varietyOf(season, crop)} ${count}${tray === null ? '' : `, tray ${tray}`}, week of ${shortDay(week, us)}`,
                  )
                  .join('; ')}
                {loss.where.length > 3 && `; ${loss.where.length - 3} more ${plural(loss.where.length - 3, 'place')}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
