import { SaidChoice } from '../../edit/Said';
import { varietyOf } from '../../season/site';
import type { OnScreen } from '../../season/SeasonContext';
import { count, upper } from '../../words/sowing';
import type { Growth } from './growth';
import s from './raising.module.css';

interface Props {
  season: OnScreen['season'];
  growth: Growth | undefined;
  drawFor: (crop: string) => void;
  /** A copy of the method that only one crop follows. */
  only: (crop: string) => void;
}

const usersWords = (users: number): string =>
  users === 0
    ? 'No crop of this set-up uses this method yet'
    : upper(users === 1 ? 'one crop uses this method' : `${count(users)} crops use this method`);

/** Which crops follow the method, which of them is drawn, and what becomes of a hundred. */
export function MethodUsers({ season, growth, drawFor, only }: Props) {
  const users = growth?.crops.length ?? 0;
  const crop = growth?.crop ?? null;
  const end = growth?.stages.at(-1);
  return (
    <>
      <p className="quiet" data-part="used">
        {growth === undefined ? 'Growing one' : usersWords(users)}
        {crop !== null && (
          <>
            ; drawn for{' '}
            <SaidChoice
              label="Crop it is drawn for"
              name="drawn_for"
              value={crop}
              options={season.crops.map((row) => [row.id, varietyOf(season, row.id)] as const)}
              choose={drawFor}
            />
          </>
        )}
        .{' '}
        {end && (
          <>
            Of a hundred that come up <b>{end.alive_of_hundred}</b> survive to the end; in a bad season, one in five,{' '}
            {end.alive_bad}.
          </>
        )}{' '}
        Each figure is the cost per finished seedling if the method ended with that stage.
      </p>
      {users > 1 && crop !== null && (
        <p className={s.touch} data-part="touches">
          What you change here changes {users} crops.{' '}
          <button type="button" className="plain" data-action="only" onClick={() => only(crop)}>
            Only for {varietyOf(season, crop)}
          </button>
        </p>
      )}
    </>
  );
}
