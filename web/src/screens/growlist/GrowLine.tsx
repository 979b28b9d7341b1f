import { clsx } from 'clsx';
import { memo } from 'react';
import type { Crop, CropPicture, CropResult } from '../../api/types';
import { Cell } from '../../edit/Cell';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber, showPrice } from '../../edit/numbers';
import type { Measure } from '../../edit/SeenRows';
import { parseText } from '../../edit/text';
import type { SeasonActions } from '../../season/SeasonContext';
import type { LineFacts } from '../../season/site';
import { useAsk } from '../../page/AskContext';
import { shortDay } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import { failure, percent, potWords, sowingLine, upper, verdictWords, warningWords } from '../../words/sowing';
import { fromUnit, inUnit } from '../../words/units';
import { SiteStrip } from './SiteStrip';
import { parseSeeds } from './parse';
import s from './growlist.module.css';

interface Props {
  store: SeasonActions;
  setup: string;
  crop: Crop;
  /** What the figures were reckoned for; `crop` may be ahead of it. */
  reckoned: number;
  facts: LineFacts;
  result: CropResult;
  picture: CropPicture;
  currency: string;
  us: boolean;
  year: number;
  /** Its place in the whole list. */
  row: number;
  measure: Measure | undefined;
  /** Of its packet. */
  priceIsGuess: boolean;
  /** Another line of the list is the same variety. */
  isRound: boolean;
  open: boolean;
  chosen: boolean;
  toggle: (crop: string) => void;
  choose: (crop: string, range: boolean) => void;
}

/** What a crop goes without, beside its price. */
const LACKING: Record<string, string> = { dim: 'too dark', no_light: 'no lamp', no_mat: 'no mat', frost: 'frost' };

/** One crop, read like a sentence; every figure is changed where it stands. */
export const GrowLine = memo(function GrowLine({
  store,
  setup,
  crop,
  reckoned,
  facts,
  result,
  picture,
  currency,
  us,
  year,
  isRound,
  priceIsGuess,
  row,
  measure,
  open,
  chosen,
  toggle,
  choose,
}: Props) {
  const ask = useAsk();
  const { lot, species, method, site } = facts;
  const { line } = picture;
  const verdict = verdictWords(result, line, currency, crop.substitute);
  const name = lot.variety;
  // Two rounds of the same are told apart by their day.
  const named = isRound && result.sow_on !== null ? `${name}, sown ${shortDay(result.sow_on, us)}` : name;
  const own = lot.seeds_per_packet === null;
  const pots = potWords(picture.pots, us);
  const save = (path: (string | number)[], label: string) => (to: unknown) => store.change([{ path, to }], `${label}, ${name}`);
  const split =
    crop.split === null
      ? null
      : [
          [crop.split.keep, 'keep'],
          [crop.split.give, 'give'],
          [crop.split.sell, 'sell'],
        ]
          .filter(([n]) => n !== 0)
          .map(([n, word]) => `${n} ${word}`)
          .join(', ');
  const age = line.age === 0 ? 'fresh' : `${line.age} yr old`;
  return (
    <tr
      className={clsx(s.line, open ? s.lineOpen : undefined, chosen ? s.lineChosen : undefined)}
      data-line
      data-crop={crop.id}
      ref={measure}
      data-index={row}
      aria-rowindex={row + 2}
    >
      <td className={s.lineMark}>
        <input
          type="checkbox"
          aria-label={`Choose ${named}`}
          checked={chosen}
          onClick={(event) => choose(crop.id, event.shiftKey)}
          onChange={() => undefined}
        />
      </td>
      <td className={s.lineCrop} data-part="line-crop">
        <Cell
          label={`Variety of ${named}`}
          name={`${crop.id}.variety`}
          column="variety"
          value={name}
          show={String}
          parse={parseText}
          className="strong"
          save={save(['seed_lots', lot.id, 'variety'], 'variety')}
        />
        <small>
          {species?.name}
          {isRound && result.sow_on !== null ? `, sown ${shortDay(result.sow_on, us)}` : ''}
          {crop.anchor === 'first_frost' ? ', autumn' : ''}
          {method ? ` · ${method.name.charAt(0).toLowerCase()}${method.name.slice(1)}` : ''}
        </small>
      </td>
      <td className={s.lineWanted} data-head="Wanted">
        <Cell
          label={`Wanted of ${named}`}
          name={`${crop.id}.wanted`}
          column="wanted"
          value={crop.wanted}
          show={showNumber}
          parse={(typed) => parseNumber(typed, boundsOf('crops.wanted'))}
          inputMode="decimal"
          className="strong mono"
          save={save(['crops', crop.id, 'wanted'], 'wanted')}
        />
        {split !== null && <small>{split}</small>}
      </td>
      <td className={s.linePacket} data-head="Packet">
        {own ? (
          <span className="mono strong">own seed</span>
        ) : (
          <span className="mono strong">
            {moneySign(currency)}
            <Cell
              label={`Packet price of ${named}`}
              name={`${crop.id}.packet_price`}
              column="price"
              value={lot.packet_price}
              guess={priceIsGuess}
              show={showPrice}
              parse={(typed) => parseNumber(typed, boundsOf('seed_lots.packet_price'))}
              inputMode="decimal"
              save={save(['seed_lots', lot.id, 'packet_price'], 'packet price')}
            />
          </span>
        )}
        <small>
          {own ? (
            'a pinch'
          ) : (
            <>
              <Cell
                label={`Seeds in a packet of ${named}`}
                name={`${crop.id}.seeds`}
                column="seeds"
                value={lot.seeds_per_packet ?? 0}
                show={showNumber}
                parse={parseSeeds}
                inputMode="decimal"
                save={save(['seed_lots', lot.id, 'seeds_per_packet'], 'seeds in a packet')}
              />{' '}
              seeds
            </>
          )}
          , <span title={`packed for ${lot.packed_for}, season ${year}`}>{age}</span>
          {line.come_up_of_hundred !== null && (
            <>
              {' '}
              ·{' '}
              <button
                type="button"
                className="link"
                data-explain="g"
                aria-label={`${line.come_up_of_hundred} % germination of ${named}`}
                onClick={() => ask({ figure: 'g', crop: crop.id })}
              >
                {line.come_up_of_hundred} % germination
              </button>
            </>
          )}
        </small>
      </td>
      <td className={s.lineSow} data-part="line-sow" data-head="How much to sow">
        {result.grown && line.strip !== null && method ? (
          <>
            <SiteStrip strip={line.strip} />
            <small>
              <button
                type="button"
                className="link"
                data-explain="seeds"
                aria-label={`${sowingLine(result, method, reckoned, site, us)} of ${named}`}
                onClick={() => ask({ figure: 'seeds', crop: crop.id })}
              >
                {sowingLine(result, method, reckoned, site, us)}
              </button>
              {crop.sow?.method === method.id && ', your choice'}
            </small>
          </>
        ) : (
          <small className={result.cost === null ? 'trouble' : undefined}>
            {result.cost === null ? `▲ ${upper(failure(result.warnings[0]))}` : 'nothing: bought as plants'}
          </small>
        )}
        {result.grown &&
          result.warnings
            .filter((code) => !(code in LACKING))
            .map((code) => (
              <small key={code} className="trouble">
                ▲ {warningWords(code)}
              </small>
            ))}
      </td>
      <td className={s.lineOdds} data-head="Chance">
        {result.p_enough !== null && (
          <>
            <button
              type="button"
              className="amount mono strong"
              data-odds
              aria-label={`${percent(result.p_enough)} chance of enough ${named}`}
              onClick={() => ask({ figure: 'p_enough', crop: crop.id })}
            >
              {percent(result.p_enough)}
            </button>
            <small>
              chance of enough plants
              {picture.below_asked !== null && `, you asked for ${picture.below_asked.asked} %`}
            </small>
          </>
        )}
      </td>
      <td className={s.lineCost} data-head="Cost each">
        {result.per_finished !== null ? (
          <button
            type="button"
            className="amount copper mono strong"
            data-cost
            aria-label={`${money(result.per_finished, currency, true)} for each ${named}`}
            onClick={() => ask({ figure: 'per_finished', crop: crop.id })}
          >
            {money(result.per_finished, currency, true)}
          </button>
        ) : (
          <span className="mono">–</span>
        )}
        {result.grown &&
          result.warnings
            .filter((code) => code in LACKING)
            .map((code) => (
              <small key={code} className="trouble" title={warningWords(code)}>
                ▲ {LACKING[code]}
              </small>
            ))}
      </td>
      <td className={s.lineVerdict} data-head="Verdict">
        <span className={clsx(`verdict-${verdict.tone}`, 'strong')}>{verdict.word}</span>
        <small>
          {line.saves === null ? (
            verdict.reason
          ) : (
            <button
              type="button"
              className="link"
              aria-label={`${verdict.reason}: ${named}`}
              onClick={() => ask({ figure: 'saves', crop: crop.id })}
            >
              {verdict.reason}
            </button>
          )}
        </small>
        {line.nursery_each !== null && (
          <small>
            nursery{' '}
            <button
              type="button"
              className="link"
              aria-label={`${money(line.nursery_each, currency, true)} for a ${named} from the nursery`}
              onClick={() => ask({ figure: 'nursery_each', crop: crop.id })}
            >
              {money(line.nursery_each, currency, true)}
            </button>{' '}
            each
          </small>
        )}
        {crop.pot_at_least_l !== null && crop.nursery.length > 0 && (
          <small>
            in a pot of{' '}
            <Cell
              label={`Smallest pot of a bought ${named}, ${us ? 'cups' : 'litres'}`}
              name={`${crop.id}.pot_at_least`}
              column="pot"
              value={Math.round(100 * inUnit(crop.pot_at_least_l, us ? 'cup' : 'L')) / 100}
              show={showNumber}
              parse={(typed) => parseNumber(typed, { least: 0.01, most: 1000 })}
              inputMode="decimal"
              save={(to) => save(['crops', crop.id, 'pot_at_least_l'], 'smallest pot')(fromUnit(to, us ? 'cup' : 'L'))}
            />{' '}
            {us ? 'cups' : 'L'} or more
          </small>
        )}
        {pots !== null && <small>{pots}</small>}
      </td>
      <td className={s.lineMore}>
        <button
          type="button"
          className="plain"
          aria-expanded={open}
          aria-controls={`panel-${crop.id}`}
          data-open={crop.id}
          onClick={() => toggle(crop.id)}
        >
          <span aria-hidden="true">{open ? '▴' : '▾'}</span>
          <span className="hidden">
            {open ? 'Less' : 'More'} on {named} in {setup}
          </span>
        </button>
      </td>
    </tr>
  );
});
