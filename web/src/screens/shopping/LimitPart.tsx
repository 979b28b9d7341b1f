import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season, Setup, Work } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { Progress } from '../../season/Progress';
import { useStore } from '../../season/SeasonContext';
import { money, moneyChange, moneySign } from '../../words/money';
import { plural } from '../../words/sowing';
import { NOT_WORKED_OUT } from '../../words/work';
import { LOCALE } from '../../words/region';
import { methodName } from '../../season/methods';
import s from './shopping.module.css';

type Budget = NonNullable<Work['budget']>;
type Step = Budget['steps'][number];
type BudgetYear = NonNullable<Work['budget_years']>[number];

const SOME = 0.05;

const KINDS = [
  ['budget', 'what is bought now'],
  ['season_budget', 'the season, with electricity'],
  ['budget_years', 'each of three seasons'],
] as const;

/** A limit for what is bought now: what to grow, buy, leave out or put off to keep to it, and what each costs in plants. */
export function LimitPart({ season, setup }: { season: Season; setup: Setup }) {
  const store = useStore();
  const [typed, setTyped] = useState('');
  const [work, setWork] = useState<Work | null>(null);
  const [found, setFound] = useState<Budget | null>(null);
  const [years, setYears] = useState<BudgetYear[] | null>(null);
  const [kind, setKind] = useState<(typeof KINDS)[number][0]>('budget');
  const [why, setWhy] = useState<string | null>(null);
  const look = async () => {
    const limit = parseNumber(typed, { least: 0, most: 1_000_000_000, kind: 'money' });
    setFound(null);
    setYears(null);
    if (!limit.ok) return setWhy(limit.why);
    setWhy(null);
    try {
      const body = { kind, setup: setup.id, amount: limit.value };
      setWork(await answered(client.POST('/api/seasons/{season}/work', { params: { path: { season: store.id } }, body })));
    } catch (error) {
      setWhy(words(error));
    }
  };
  const ended = (done: Work) => {
    setWork(null);
    if (done.state === 'done') {
      setFound(done.budget ?? null);
      setYears(done.budget_years ?? null);
    }
    if (done.state === 'failed') setWhy(NOT_WORKED_OUT);
  };
  return (
    <section aria-labelledby="limit-title" className={s.limit} data-part="limit">
      <h2 id="limit-title">Stay within a budget</h2>
      <form
        className={s.instead}
        onSubmit={(event) => {
          event.preventDefault();
          void look();
        }}
      >
        <label>
          At most, {moneySign(season.currency)}
          <input name="limit" inputMode="decimal" value={typed} onChange={(event) => setTyped(event.target.value)} />
        </label>
        <label>
          For
          <select name="limit-for" value={kind} onChange={(event) => setKind(event.target.value as typeof kind)}>
            {KINDS.map(([value, label]) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </label>
        {work === null ? (
          <Button htmlType="submit">Find a plan within this budget</Button>
        ) : (
          <Progress season={store.id} begun={work} ended={ended} />
        )}
        {why !== null && (
          <p className="trouble" role="alert">
            {why}
          </p>
        )}
      </form>
      {years && <Years season={season} years={years} />}
      {found && <Found season={season} setup={setup} found={found} done={() => setFound(null)} />}
    </section>
  );
}

interface FoundProps {
  season: Season;
  setup: Setup;
  found: Budget;
  done: () => void;
}

function Found({ season, setup, found, done }: FoundProps) {
  const store = useStore();
  const [why, setWhy] = useState<string | null>(null);
  const sum = (amount: number) => money(amount, season.currency);
  const { before, after, lost, steps, paid } = found;
  if (!found.kept)
    return (
      <p role="status">
        {paid > found.limit
          ? `You have paid ${sum(paid)} already, more than ${sum(found.limit)}. Finishing the list as planned takes ${sum(before.cash)} more.`
          : `No plan for this season stays within ${sum(found.limit)}.`}
      </p>
    );
  const take = () => {
    const name = freeName(season, `${setup.name}, at most ${sum(found.limit)}`);
    const id = freeId(season, 'limit');
    const row = {
      ...setup,
      id,
      name,
      overrides: found.overrides,
      lights: found.lights,
      mats: found.mats,
      ...(found.bare ? { gear: [], appliances: [] } : {}),
    };
    store
      .change([{ path: ['setups', id], to: row }, ...found.left_out.map((crop) => ({ path: ['crops', crop], to: null }))], name)
      .then(() => {
        store.show(id);
        done();
      })
      .catch((error: unknown) => setWhy(words(error)));
  };
  return (
    <div role="status">
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      <p>
        {paid > 0 ? `${sum(paid)} is paid; still to pay ${sum(after.cash)}` : `${sum(after.cash)} to pay now`} instead of{' '}
        {sum(before.cash)}
        {lost > SOME ? `; ${lost.toFixed(lost < 10 ? 1 : 0)} plants fewer than now` : '; no plant fewer'}. To have the whole list
        it comes to {sum(after.fill_cost)} instead of {sum(before.fill_cost)}, in {after.hours.toFixed(1)} instead of{' '}
        {before.hours.toFixed(1)} hours.{' '}
        {found.search ? 'This is a good plan; there may be a better one.' : 'No other plan is better.'}
        {found.unsound > 0 &&
          ` ${found.unsound.toLocaleString(LOCALE)} plans were left out: plants would stand too dark, in too small a pot or in frost, or go out far too late.`}
      </p>
      {steps.length === 0 ? (
        <p>Nothing has to change.</p>
      ) : (
        <ol className={s.steps} data-part="limit-steps">
          {steps.map((step) => (
            <li key={`${step.kind} ${step.id}`}>
              {stepWords(season, step)}: <span className="mono copper">{moneyChange(step.cash, season.currency)}</span>
              {step.missing > SOME && `, ${step.missing.toFixed(1)} plants missing`}
              {step.missing < -SOME && `, ${(-step.missing).toFixed(1)} plants more`}
            </li>
          ))}
        </ol>
      )}
      {steps.length > 0 && (
        <Button type="primary" onClick={take}>
          Add as a set-up
          {found.left_out.length > 0
            ? `, and ${found.left_out.length} ${plural(found.left_out.length, 'crop')} off the list`
            : ''}
        </Button>
      )}
    </div>
  );
}

/** The same limit in three seasons: what to buy first, and what that leaves money for later. */
function Years({ season, years }: { season: Season; years: BudgetYear[] }) {
  const sum = (amount: number) => money(amount, season.currency);
  return (
    <ol className={s.steps} data-part="limit-years">
      {years.map(({ year, budget, lasting, saved }) => (
        <li key={year}>
          <b>{year}</b>: {budget.kept ? `${sum(budget.after.cash)} to pay now` : 'no plan within it'}
          {budget.after.missing > SOME ? `, ${budget.after.missing.toFixed(0)} plants missing` : ', the whole list'}
          {lasting.length > 0 && `. To last: ${lasting.map(({ name, cost }) => `${name} (${sum(cost)})`).join(', ')}`}
          {budget.left_out.length > 0 && `. Left out: ${budget.left_out.map((crop) => cropName(season, crop)).join(', ')}`}. Kept
          so far against buying: {sum(saved)}.
        </li>
      ))}
    </ol>
  );
}

const cropName = (season: Season, id: string): string => {
  const crop = season.crops.find((one) => one.id === id);
  return season.seed_lots.find((lot) => lot.id === crop?.lot)?.variety ?? id;
};

function stepWords(season: Season, { kind, id, to }: Step): string {
  if (kind === 'gear') return 'Shelves and fans put off';
  if (kind === 'light' || kind === 'mat') {
    const row = season[kind === 'light' ? 'lights' : 'mats'].find((one) => one.id === id);
    return `${row?.name ?? id} not bought`;
  }
  const crop = season.crops.find((one) => one.id === id);
  const name = cropName(season, id);
  if (to === 'leave') return `${name} left out (${crop?.wanted ?? 0})`;
  if (to === 'nursery') return `${name} bought as plants`;
  return `${name} by another method: ${methodName(season, to)}`;
}

const freeId = (season: Season, wish: string): string => {
  const taken = new Set(season.setups.map(({ id }) => id));
  for (let n = 1; ; n++) if (!taken.has(n === 1 ? wish : `${wish}-${n}`)) return n === 1 ? wish : `${wish}-${n}`;
};

const freeName = (season: Season, wish: string): string => {
  const taken = new Set(season.setups.map(({ name }) => name));
  for (let n = 1; ; n++) if (!taken.has(n === 1 ? wish : `${wish} (${n})`)) return n === 1 ? wish : `${wish} (${n})`;
};
