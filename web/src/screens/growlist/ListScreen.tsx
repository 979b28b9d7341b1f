import { Input, Select } from 'antd';
import { Fragment, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { Crop } from '../../api/types';
import { FieldsOf } from '../../edit/typed';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { SeenRows } from '../../edit/SeenRows';
import { useIsGuess } from '../../season/useIsGuess';
import { factsOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { count, plural, upper } from '../../words/sowing';
import { AddBox } from './AddBox';
import { CropPanel } from './CropPanel';
import { GrowLine } from './GrowLine';
import { ManyBar } from './ManyBar';
import { SeasonFacts } from './SeasonFacts';
import { ORDERS, sortLines, type Order, type ShownLine } from './order';
import { Help } from '../../words/Help';
import s from './growlist.module.css';
import { LOCALE } from '../../words/region';

/** The grow list: what, how many, from which packet, how much to sow, what it costs, and whether to. */
export function ListScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <List shown={shown} />}</PlanningPage>;
}

const COLUMNS = 9;
/** Of a line, as a rule, pixels. */
const LINE_HEIGHT = 96;

function List({ shown }: { shown: OnScreen }) {
  const store = useStore();
  const isGuess = useIsGuess();
  const { season, reckoned: base, setup, cropResult, picture } = shown;
  const [order, setOrder] = useState<Order>('listed');
  const [filter, setFilter] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string | null>(null);
  const wish = useDeferredValue(filter.trim().toLowerCase());

  const lines = useMemo(() => {
    const facts = factsOf(season);
    const reckoned = new Map(base.crops.map((crop) => [crop.id, crop.wanted]));
    const all = season.crops.flatMap((crop): ShownLine[] => {
      const [result, drawn] = [cropResult(crop.id), picture(crop.id)];
      const known = facts(crop, result);
      return result && drawn && known
        ? [{ crop, reckoned: reckoned.get(crop.id) ?? crop.wanted, result, picture: drawn, facts: known }]
        : [];
    });
    const found =
      wish === ''
        ? all
        : all.filter(({ crop, facts: { lot, species, method }, result }) =>
            [lot.variety, species?.name, method?.name, crop.id, result.verdict?.replace('_', ' ')].some((text) =>
              text?.toLowerCase().includes(wish),
            ),
          );
    return sortLines(found, order);
  }, [season, base, cropResult, picture, order, wish]);

  const rounds = useMemo(() => {
    const varieties = new Map(season.seed_lots.map(({ id, variety }) => [id, variety]));
    const lines = new Map<string, number>();
    for (const { lot } of season.crops) {
      const variety = varieties.get(lot) ?? lot;
      lines.set(variety, (lines.get(variety) ?? 0) + 1);
    }
    return lines;
  }, [season.crops, season.seed_lots]);

  const toggle = useCallback((crop: string) => setOpen((now) => (now === crop ? null : crop)), []);
  const ids = useRef<string[]>([]);
  useEffect(() => {
    ids.current = lines.map(({ crop }) => crop.id);
  }, [lines]);
  const choose = useCallback(
    (crop: string, range: boolean) =>
      setChosen((now) => {
        const next = new Set(now);
        const from = range && last.current !== null ? ids.current.indexOf(last.current) : -1;
        const to = ids.current.indexOf(crop);
        if (from >= 0) ids.current.slice(Math.min(from, to), Math.max(from, to) + 1).forEach((id) => next.add(id));
        else if (!next.delete(crop)) next.add(crop);
        last.current = crop;
        return next;
      }),
    [],
  );

  const { wanted } = shown.pictures;
  const many: Crop[] = season.crops.filter(({ id }) => chosen.has(id));
  const all = many.length > 0 && many.length === lines.length;
  return (
    <>
      <div className="list-head">
        <div>
          <h1>
            {season.crops.length === 0
              ? 'Nothing on the list yet'
              : `${upper(count(season.crops.length))} ${plural(season.crops.length, 'crop')}, ${wanted.toLocaleString(LOCALE)} ${plural(wanted, 'plant')} wanted`}
          </h1>
          <SeasonFacts season={season} />
          <div className="list-tools">
            <SetupPicker />
            {season.crops.length > 0 && (
              <>
                <label>
                  Order
                  <Select<Order>
                    aria-label="Order"
                    value={order}
                    onChange={setOrder}
                    options={ORDERS}
                    popupMatchSelectWidth={false}
                  />
                </label>
                <label>
                  Only
                  <Input
                    name="filter"
                    aria-label="Show only"
                    allowClear
                    placeholder="tomato, buy, cells…"
                    value={filter}
                    onChange={(event) => setFilter(event.target.value)}
                  />
                </label>
              </>
            )}
          </div>
        </div>
        <AddBox
          season={season}
          added={(state) =>
            setOpen(state.season.crops.length === season.crops.length + 1 ? (state.season.crops.at(-1)?.id ?? null) : null)
          }
        />
      </div>
      {many.length > 0 && <ManyBar season={season} setup={setup} chosen={many} clear={() => setChosen(new Set())} />}
      {season.crops.length === 0 ? (
        <Empty />
      ) : lines.length === 0 ? (
        <p className="quiet">No crop here is like “{filter}”.</p>
      ) : (
        <table className={s.grow} data-part="grow" data-grid aria-rowcount={lines.length + 1}>
          <thead>
            <tr>
              <th>
                <input
                  type="checkbox"
                  aria-label="Choose all"
                  checked={all}
                  onChange={() => setChosen(all ? new Set() : new Set(lines.map(({ crop }) => crop.id)))}
                />
              </th>
              <th scope="col">Crop</th>
              <th scope="col">Wanted</th>
              <th scope="col">Packet</th>
              <th scope="col">How much to sow</th>
              <th scope="col">
                Chance
                <Help term="chance" />
              </th>
              <th scope="col">
                Cost each
                <Help term="finished" />
              </th>
              <th scope="col">
                Verdict
                <Help term="verdict" />
              </th>
              <th>
                <span className="hidden">More</span>
              </th>
            </tr>
          </thead>
          <SeenRows
            count={lines.length}
            height={LINE_HEIGHT}
            columns={COLUMNS}
            row={(at, measure) => {
              const line = lines[at];
              if (line === undefined) return null;
              const { crop, reckoned, facts, result, picture: drawn } = line;
              return (
                <Fragment key={crop.id}>
                  <GrowLine
                    store={store}
                    setup={setup.name}
                    crop={crop}
                    reckoned={reckoned}
                    facts={facts}
                    result={result}
                    picture={drawn}
                    currency={season.currency}
                    us={season.units === 'us'}
                    year={season.year}
                    priceIsGuess={isGuess('seed_lots', facts.lot.id, 'packet_price')}
                    isRound={(rounds.get(facts.lot.variety) ?? 0) > 1}
                    open={open === crop.id}
                    chosen={chosen.has(crop.id)}
                    row={at}
                    measure={measure}
                    toggle={toggle}
                    choose={choose}
                  />
                  {open === crop.id && (
                    <tr className={s.panel} id={`panel-${crop.id}`}>
                      <td colSpan={COLUMNS}>
                        <FieldsOf value={crop.id}>
                          <CropPanel
                            shown={shown}
                            crop={crop}
                            facts={facts}
                            result={result}
                            picture={drawn}
                            close={() => setOpen(null)}
                          />
                        </FieldsOf>
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            }}
          />
        </table>
      )}
    </>
  );
}

function Empty() {
  return (
    <div className="empty">
      <p>
        Type what you want to grow into the box above, for example <b>8 sweet pepper, 6 tomato, 24 lettuce</b>. A list from a
        spreadsheet can be pasted as it is.
      </p>
      <p>The catalogue fills in the packet, the sowing date and the price of each line. Change what is different for you.</p>
    </div>
  );
}
