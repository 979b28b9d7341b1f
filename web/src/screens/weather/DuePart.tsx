import type { Due, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { dueWords } from '../../words/due';
import { shortDay } from '../../words/dates';
import { plural } from '../../words/sowing';
import { degrees } from '../../words/degrees';
import s from './weather.module.css';

/** Seed that is sown and not up yet, with the day it is due as the thermometers have it. */
export function DuePart({ due, season, us }: { due: Due[]; season: Season; us: boolean }) {
  return (
    <section aria-labelledby="due-title" data-part="due">
      <h2 id="due-title">Coming up</h2>
      <ul className={s.due}>
        {due.map((one) => (
          <li key={one.crop} data-due={one.crop}>
            <b>{varietyOf(season, one.crop)}</b> <span className={one.is_late ? 'trouble' : undefined}>{dueWords(one, us)}</span>
            <small className="quiet">
              sown {shortDay(one.sown_on, us)}; planned for {shortDay(one.planned_on, us)}
              {one.soil_c === null ? '' : `; soil ${degrees(one.soil_c, us)}`}
              {one.measured > 0 || one.forecast > 0
                ? `; by ${one.measured} ${plural(one.measured, 'day')} measured and ${one.forecast} forecast`
                : '; nobody has measured its days'}
            </small>
          </li>
        ))}
      </ul>
    </section>
  );
}
