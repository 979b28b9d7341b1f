import { Cell } from '../../edit/Cell';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber, showPrice } from '../../edit/numbers';
import { useAsk } from '../../page/AskContext';
import { moneySign } from '../../words/money';
import { namedLine, saveOf, type LineOfCrop } from './line';
import { parseSeeds } from './parse';
import s from './growlist.module.css';

/** The packet: its price, its seeds, how old they are and how many come up. */
export function PacketCell({ line, year, priceIsGuess }: { line: LineOfCrop; year: number; priceIsGuess: boolean }) {
  const ask = useAsk();
  const { crop, currency } = line;
  const { lot } = line.facts;
  const { age, come_up_of_hundred: comeUp } = line.picture.line;
  const own = lot.seeds_per_packet === null;
  const named = namedLine(line);
  const save = saveOf(line);
  return (
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
        , <span title={`packed for ${lot.packed_for}, season ${year}`}>{age === 0 ? 'fresh' : `${age} yr old`}</span>
        {comeUp !== null && (
          <>
            {' '}
            ·{' '}
            <button
              type="button"
              className="link"
              data-explain="g"
              aria-label={`${comeUp} % germination of ${named}`}
              onClick={() => ask({ figure: 'g', crop: crop.id })}
            >
              {comeUp} % germination
            </button>
          </>
        )}
      </small>
    </td>
  );
}
