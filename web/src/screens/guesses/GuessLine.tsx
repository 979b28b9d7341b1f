import { Link } from 'react-router';
import type { Path, Shapes } from '../../api/types';
import type { FieldName } from '../../api/fields.generated';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { parseDate } from '../../edit/text';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { knownNow } from '../../season/useGuesses';
import { money } from '../../words/money';
import { upper } from '../../words/sowing';
import s from './guesses.module.css';

type Guess = Shapes['Guesses']['guesses'][number];

/** Less than this is not worth a word. */
const LEAST = 0.05;

/** What stands behind the number of each kind. */
const AFTER: Record<string, string> = { watts: 'W', life_seasons: 'seasons' };

/** One number nobody has looked at: change it where it stands, or say that it is right. */
export function GuessLine({ guess, shown }: { guess: Guess; shown: OnScreen }) {
  const store = useStore();
  const path = guess.path as Path;
  const [list, id, key] = path as [string, string, string | undefined];
  const field = `${list}.${key ?? id}` as FieldName;
  // A room's new temperature is no guess any more, whatever it is; a price that differs from the catalogue's needs no word.
  const along = list === 'places' ? knownNow(shown, path) : [];
  const change = (to: number | null) => store.change([{ path, to }, ...along], guess.name);
  const own = { label: upper(guess.name), name: `guess-${path.join('-')}`, after: AFTER[key ?? ''] };
  return (
    <li className={s.guess} data-part="guess-line" data-guess={path.join('.')}>
      <div>
        {list === 'last_frost' ? (
          <EditText<string>
            {...own}
            type="date"
            value={shown.season.last_frost}
            show={String}
            parse={parseDate}
            save={(to) => store.change([{ path, to }], guess.name)}
          />
        ) : guess.value === null ? (
          <p>
            {upper(guess.name)}: <Link to={`/seasons/${store.id}/bench`}>its months are on Bench</Link>
          </p>
        ) : list === 'places' ? (
          <EditInUnit
            {...own}
            field={field}
            unit={shown.season.units === 'us' ? '°F' : '°C'}
            places={1}
            value={guess.value}
            save={change}
          />
        ) : (
          <EditNumber {...own} field={field} value={guess.value} save={change} />
        )}
        {guess.moves >= LEAST && (
          <small className="quiet">could change your savings by {money(guess.moves, shown.season.currency)}</small>
        )}
      </div>
      <button type="button" className="plain" onClick={() => store.apply(knownNow(shown, path), `${guess.name} is right`)}>
        That is right<span className="hidden">: {guess.name}</span>
      </button>
    </li>
  );
}
