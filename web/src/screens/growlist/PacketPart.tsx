import { clsx } from 'clsx';
import { answered, client } from '../../api/client';
import type { Choice } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { useStore } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { useCatalogue } from '../../season/useCatalogue';
import { money, moneySign } from '../../words/money';
import { percent, plural } from '../../words/sowing';
import type { PanelProps } from './panel';
import { parseMaybePercent, parseTest, type HomeTest } from './parse';
import s from './growlist.module.css';

/** The packet, what its age does to the seed, and the other packets of the drawer side by side. */
export function PacketPart({
  shown: { season, setup },
  crop,
  facts: { lot, species },
  picture: { line },
  lots,
}: PanelProps & { lots: Choice[] | null }) {
  const store = useStore();
  const isGuess = useIsGuess();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['seed_lots', lot.id, key], to }], `${label}, ${lot.variety}`);
  const { data: catalogue } = useCatalogue();
  const law = catalogue?.species.find(({ id, name }) => id === species?.meta?.catalogue || name === species?.name);
  const alive = line.alive_of_hundred / 100;
  const own = lot.seeds_per_packet === null;
  const pinch = (to: boolean) =>
    store.apply(
      to
        ? [
            { path: ['seed_lots', lot.id, 'packet_price'], to: 0 },
            { path: ['seed_lots', lot.id, 'seeds_per_packet'], to: null },
          ]
        : [{ path: ['seed_lots', lot.id, 'seeds_per_packet'], to: 50 }],
      `own seed, ${lot.variety}`,
    );
  const another = () =>
    store.attempt(`another packet of ${lot.variety}`, () =>
      answered(
        client.POST('/api/seasons/{season}/lots', {
          params: { path: { season: store.id } },
          body: { like: lot.id, setup: setup.id },
        }),
      ),
    );
  const tested = lot.test ? ' and by your test' : '';
  const fresh =
    line.age === 0
      ? `Fresh: ${line.alive_of_hundred} % germination`
      : `Fresh ${line.fresh_of_hundred} % germination; at ${line.age} ${plural(line.age, 'year')}${tested} it is ${line.alive_of_hundred}`;
  return (
    <section aria-label="The packet">
      <h2 className={s.partName}>The packet</h2>
      <label className="tick">
        <input type="checkbox" name="own" checked={own} onChange={(event) => pinch(event.target.checked)} /> own seed: costs
        nothing
      </label>
      {!own && (
        <>
          <EditNumber
            label="A packet costs"
            name="price"
            before={moneySign(season.currency)}
            field="seed_lots.packet_price"
            value={lot.packet_price}
            guess={isGuess('seed_lots', lot.id, 'packet_price')}
            save={save('packet_price', 'packet price')}
          />
          <EditNumber
            label="Seeds in a packet"
            name="seeds"
            field="seed_lots.seeds_per_packet"
            value={lot.seeds_per_packet ?? 1}
            save={save('seeds_per_packet', 'seeds in a packet')}
          />
          <EditNumber
            label="Packets in the drawer"
            name="owned"
            field="seed_lots.packets_owned"
            value={lot.packets_owned}
            save={save('packets_owned', 'packets in the drawer')}
          />
        </>
      )}
      <EditNumber
        label="Packed for"
        name="packed_for"
        field="seed_lots.packed_for"
        value={lot.packed_for}
        save={save('packed_for', 'seed year')}
      />
      <EditText<number | null>
        label="Germination printed on the packet"
        name="germination"
        after="%"
        inputMode="decimal"
        value={lot.germination}
        show={(value) => (value === null ? '' : String(Number((value * 100).toFixed(1))))}
        parse={parseMaybePercent}
        save={save('germination', 'printed germination')}
      />
      <EditText<HomeTest | null>
        label="Your own test"
        name="test"
        value={lot.test}
        show={(value) => (value === null ? '' : `of ${value.sown}, ${value.sprouted} came up`)}
        parse={parseTest}
        save={save('test', 'own test')}
      />
      {lot.test && (
        <p className="quiet" data-test="tested">
          Of {lot.test.sown}, {lot.test.sprouted} came up: {Math.round((100 * lot.test.sprouted) / lot.test.sown)} %. Seed of this
          kind and age usually has {line.aged_of_hundred} %, which counts like a test of {line.seeds_known} seeds. Together:{' '}
          {line.alive_of_hundred} %. The more seeds you test, the more your own count weighs.
        </p>
      )}
      {law?.legalMinimum && (
        <p className="quiet" data-test="law" title={law.legalSource ?? undefined}>
          In the United States its seed may not be sold below {Math.round(law.legalMinimum * 100)} %
          {alive < law.legalMinimum ? '; this packet is below that.' : '.'}
        </p>
      )}
      <p className="quiet" data-test="age">
        {fresh}
        {line.come_up_of_hundred === null ? '.' : `; where you sow it ${line.come_up_of_hundred} come up.`}
      </p>
      {lots !== null && (
        <table className={clsx('choices', s.lots)} data-part="lots">
          <caption>Packets of {species?.name.toLowerCase()} in the drawer</caption>
          <tbody>
            {lots.map((choice) => {
              const row = season.seed_lots.find(({ id }) => id === choice.id);
              const now = choice.id === crop.lot;
              return (
                <tr key={choice.id} className={now ? 'now' : undefined}>
                  <th scope="row">
                    <label className="tick">
                      <input
                        type="radio"
                        name={`lot-${crop.id}`}
                        checked={now}
                        onChange={() =>
                          store.apply([{ path: ['crops', crop.id, 'lot'], to: choice.id }], `packet, ${lot.variety}`)
                        }
                      />{' '}
                      {row?.variety}, {row?.packed_for}
                    </label>
                    {choice.g !== null && choice.seeds !== null && choice.p_enough !== null && (
                      <small className="quiet">
                        {Math.round(choice.g * 100)} % up, {choice.seeds} seeds, {percent(choice.p_enough)} chance of enough
                      </small>
                    )}
                  </th>
                  <td className="mono">{money(choice.per_finished, season.currency, true)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <button type="button" className="plain" onClick={another}>
        Compared with a fresh packet
      </button>
    </section>
  );
}
