import { Fragment, useCallback, useState, type Dispatch, type SetStateAction } from 'react';
import { SeenRows } from '../../edit/SeenRows';
import { FieldsOf } from '../../edit/typed';
import { PlanningPage } from '../../page/Page';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { LOCALE } from '../../words/region';
import { count, plural, upper } from '../../words/sowing';
import { AddBox } from './AddBox';
import { CropPanel } from './CropPanel';
import { GrowLine } from './GrowLine';
import { ListHeading } from './ListHeading';
import { ListTools } from './ListTools';
import { ManyBar } from './ManyBar';
import type { Order, ShownLine } from './order';
import { SeasonFacts } from './SeasonFacts';
import { useChosen } from './useChosen';
import { useLines, useLinesOfVariety } from './useLines';
import s from './growlist.module.css';

/** The grow list: what, how many, from which packet, how much to sow, what it costs, and whether to. */
export function ListScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <List shown={shown} />}</PlanningPage>;
}

const COLUMNS = 9;
/** Of a line, as a rule, pixels. */
const LINE_HEIGHT = 96;

function List({ shown }: { shown: OnScreen }) {
  const { season, setup } = shown;
  const [order, setOrder] = useState<Order>('listed');
  const [filter, setFilter] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const lines = useLines(shown, order, filter);
  const { chosen, choose, setChosen } = useChosen(lines);
  const { wanted } = shown.pictures;
  const many = season.crops.filter(({ id }) => chosen.has(id));
  const all = many.length > 0 && many.length === lines.length;
  const crops = `${upper(count(season.crops.length))} ${plural(season.crops.length, 'crop')}`;
  const plants = `${wanted.toLocaleString(LOCALE)} ${plural(wanted, 'plant')}`;
  return (
    <>
      <div className="list-head">
        <div>
          <h1>{season.crops.length === 0 ? 'Nothing on the list yet' : `${crops}, ${plants} wanted`}</h1>
          <SeasonFacts season={season} />
          <ListTools any={season.crops.length > 0} order={order} setOrder={setOrder} filter={filter} setFilter={setFilter} />
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
          <ListHeading all={all} chooseAll={() => setChosen(all ? new Set() : new Set(lines.map(({ crop }) => crop.id)))} />
          <Lines shown={shown} lines={lines} open={open} setOpen={setOpen} chosen={chosen} choose={choose} />
        </table>
      )}
    </>
  );
}

interface LinesProps {
  shown: OnScreen;
  lines: ShownLine[];
  open: string | null;
  setOpen: Dispatch<SetStateAction<string | null>>;
  chosen: ReadonlySet<string>;
  choose: (crop: string, range: boolean) => void;
}

/** The lines that are seen; under the one that is opened, everything else about it. */
function Lines({ shown, lines, open, setOpen, chosen, choose }: LinesProps) {
  const store = useStore();
  const isGuess = useIsGuess();
  const ofVariety = useLinesOfVariety(shown);
  const { season, setup } = shown;
  const toggle = useCallback((crop: string) => setOpen((now) => (now === crop ? null : crop)), [setOpen]);
  return (
    <SeenRows
      count={lines.length}
      height={LINE_HEIGHT}
      columns={COLUMNS}
      row={(at, measure) => {
        const line = lines[at];
        if (line === undefined) return null;
        const { crop, facts, result, picture } = line;
        return (
          <Fragment key={crop.id}>
            <GrowLine
              {...line}
              store={store}
              setup={setup.name}
              currency={season.currency}
              us={season.units === 'us'}
              year={season.year}
              priceIsGuess={isGuess('seed_lots', facts.lot.id, 'packet_price')}
              isRound={(ofVariety.get(facts.lot.variety) ?? 0) > 1}
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
                      picture={picture}
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
