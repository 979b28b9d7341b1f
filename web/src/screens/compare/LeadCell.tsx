import { clsx } from 'clsx';
import type { Compared, Season, SetupResult } from '../../api/types';
import { Progress } from '../../season/Progress';
import { useStore } from '../../season/SeasonContext';
import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { moreOf } from './Answer';
import { useNewSetup } from '../../season/useNewSetup';
import { lackWords } from './lacks';
import s from './compare.module.css';

interface Props {
  season: Season;
  result: SetupResult;
  compared: Compared['comparison']['setups'][number];
  here: boolean;
  /** What it cannot supply is priced in at the nursery. */
  price: boolean;
  /** No way supplies the whole list. */
  allShort: boolean;
}

/** For a few days a tray or two finds another place; a set-up crowded for longer is no answer. */
const BEARABLE_DAYS = 3;

/** What it would need where it is short: "needs 16 trays, you have 8, for". */
function roomWords({ places }: SetupResult): string {
  const short = places
    .flatMap((place) => [
      { need: place.peak_light_flats, have: place.light_flats },
      { need: place.peak_flats, have: place.flats },
    ])
    .filter((one): one is { need: number; have: number } => one.have !== null && one.need > one.have + 1e-6);
  const worst = short.sort((a, b) => b.need - b.have - (a.need - a.have))[0];
  return worst === undefined
    ? 'crowded for'
    : `needs ${Math.ceil(worst.need - 1e-6)} trays, you have ${Math.floor(worst.have + 1e-6)}, for`;
}

/** The price of one of the plants that a nursery sells too; where it sells none, of one that is wanted. */
export function LeadCell({ season, result, compared, here, price }: Props) {
  const ask = useAsk();
  const per = price && compared.priced_in !== null ? compared.priced_in : (result.same_per_plant ?? result.per_wanted);
  const what = result.same_per_plant === null ? 'plants wanted' : 'same plants';
  const first = compared.rank === 1 && compared.qualifies;
  const crowded = result.crowded_days > BEARABLE_DAYS;
  const name = season.setups.find(({ id }) => id === compared.id)?.name ?? '';
  return (
    <td className={here ? 'here' : undefined}>
      <button
        type="button"
        className={clsx('amount mono', first && compared.fitted === null ? 'copper' : undefined, crowded && s.noRoom)}
        data-per-wanted={compared.id}
        aria-label={`One of the ${what}, ${name}: ${money(per, season.currency, true)}${crowded ? ', if you had the room' : ''}`}
        onClick={() =>
          ask({ figure: result.same_per_plant === null ? 'per_wanted' : 'same_per_plant', crop: null, setup: compared.id })
        }
      >
        {money(per, season.currency, true)}
      </button>
      {crowded && <small className={s.noRoom}>if you had the room</small>}
      {first && <small className="copper">cheapest{compared.fitted === null ? '' : ' with the lamps and mats it needs'}</small>}
    </td>
  );
}

/** Whatever makes a price less than it seems: crowding, light, warmth, plants the way cannot supply; and what it takes to fit. */
export function LacksCell({ season, result, compared, here, price, allShort }: Props) {
  return (
    <td className={here ? 'here' : undefined}>
      {!compared.fair && !allShort && !(price && compared.fair_priced_in) && (
        <small className="trouble">▲ some crops missing</small>
      )}
      {result.crowded_days > 0 && (
        <small className="trouble">
          ▲ {result.crowded_days > BEARABLE_DAYS ? `no room: ${roomWords(result)}` : 'crowded'} {result.crowded_days}{' '}
          {plural(result.crowded_days, 'day')}
        </small>
      )}
      {compared.lacks.map(({ code, crops }) => (
        <small key={code} className="trouble">
          ▲ {lackWords(code, crops)}
        </small>
      ))}
      {result.crowded_days > BEARABLE_DAYS && (
        <MakeRoom setup={compared.id} name={season.setups.find(({ id }) => id === compared.id)?.name ?? ''} />
      )}
      {compared.fitted !== null && <MakeItFit season={season} setup={compared.id} fitted={compared.fitted} />}
    </td>
  );
}

type Fitted = NonNullable<Compared['comparison']['setups'][number]['fitted']>;

/** What it comes to with lamps and mats enough, and the way to have it beside. */
function MakeItFit({ season, setup, fitted }: { season: Season; setup: string; fitted: Fitted }) {
  const { add, why } = useNewSetup();
  return (
    <small className={s.fit}>
      {money(fitted.per_wanted, season.currency, true)} {moreOf(fitted)}
      {fitted.crowded_days > 0 ? ', still short of room' : ''}
      <button type="button" className="plain" data-fit={setup} onClick={() => void add({ fit: setup })}>
        Add as a set-up<span className="hidden">: {season.setups.find(({ id }) => id === setup)?.name}</span>
      </button>
      {why !== null && (
        <span className="trouble" role="alert">
          {why}
        </span>
      )}
    </small>
  );
}

/** The same set-up with what gives way bought, or sown where it grows: room first, then the price. */
function MakeRoom({ setup, name }: { setup: string; name: string }) {
  const { id } = useStore();
  const { mix, busy, why, work, ended } = useNewSetup();
  return (
    <small className={s.fit}>
      {work === null ? (
        <button
          type="button"
          className="plain"
          data-make-room={setup}
          disabled={busy}
          aria-label={`Make room: buy some crops, or sow them in the bed, in ${name}`}
          onClick={() => void mix(setup)}
        >
          Make room: buy some crops, or sow them in the bed
        </button>
      ) : (
        <Progress season={id} begun={work} ended={ended} />
      )}
      {why !== null && (
        <span className="trouble" role="alert">
          {why}
        </span>
      )}
    </small>
  );
}
