import { Button } from 'antd';
import { useState } from 'react';
import { words } from '../../api/client';
import type { SeasonState, TraysState } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import { day } from '../../words/dates';
import s from './trays.module.css';

interface Props {
  shown: OnScreen;
  data: TraysState;
  /** Keeps the layout, so that a label finds its row. */
  keep: (trays: string[]) => Promise<SeasonState>;
}

const SHOWN = 4;

const inOrder = <T extends { id: string }>(trays: T[]): T[] =>
  [...trays].sort((a, b) => a.id.localeCompare(b.id, undefined, { numeric: true }));

/** Labels on sticks, on sheets by their measures, or as a list to write by hand. */
export function LabelsPart({ shown: { id, season, setup }, data, keep }: Props) {
  const us = season.units === 'us';
  const [sheet, setSheet] = useState(us ? 'stick_letter' : 'stick_a4');
  const [trays, setTrays] = useState<string[]>([]);
  const [used, setUsed] = useState('0');
  const [code, setCode] = useState(true);
  const [why, setWhy] = useState<string | null>(null);
  const chosen = data.labels.filter(({ tray }) => trays.length === 0 || trays.includes(tray));
  const print = () => {
    setWhy(null);
    const address = `/api/seasons/${id}/setups/${setup.id}/labels.pdf?sheet=${sheet}&used=${Number(used) || 0}&code=${code ? 1 : 0}&trays=${trays.join(',')}`;
    // The window is opened at once, before the browser forgets that somebody asked for it.
    const page = window.open('about:blank', '_blank');
    keep(trays)
      .then(() => {
        if (page) page.location.href = address;
        else window.location.href = address;
      })
      .catch((error: unknown) => {
        page?.close();
        setWhy(words(error));
      });
  };
  return (
    <section aria-labelledby="labels-title" data-part="labels">
      <h2 id="labels-title">Labels</h2>
      <p>
        {chosen.length} to write or to print:{' '}
        <select aria-label="Label sheet" name="sheet" value={sheet} onChange={(event) => setSheet(event.target.value)}>
          {data.sheets.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </p>
      <fieldset className={s.fieldset}>
        <legend>for trays</legend>
        {inOrder(data.trays).map((tray) => (
          <label key={tray.id}>
            <input
              type="checkbox"
              name={`label-${tray.id}`}
              checked={trays.includes(tray.id)}
              onChange={(event) => setTrays(event.target.checked ? [...trays, tray.id] : trays.filter((one) => one !== tray.id))}
            />{' '}
            {tray.id}
          </label>
        ))}
        {trays.length === 0 && <span className="quiet">all</span>}
      </fieldset>
      <div className={s.field}>
        <label>
          <input type="checkbox" name="code" checked={code} onChange={(event) => setCode(event.target.checked)} /> with the code
          that opens its count on a phone
        </label>
        <label>
          labels already used on this sheet{' '}
          <input name="used" inputMode="numeric" size={3} value={used} onChange={(event) => setUsed(event.target.value)} />
        </label>
      </div>
      <Button data-action="print-labels" onClick={print}>
        Print labels (PDF)
      </Button>
      {why !== null && <p role="alert">{why}</p>}
      <LabelList labels={chosen} us={us} />
      <p className="quiet">
        {chosen[0]?.code}: tray {chosen[0]?.tray}, from row {chosen[0]?.row}, counted from the notch. ✿ marks your own seed.
      </p>
    </section>
  );
}

/** The first few as they are printed, or all of them to write by hand. */
function LabelList({ labels, us }: { labels: TraysState['labels']; us: boolean }) {
  const [all, showAll] = useState(false);
  const listed = all ? labels : labels.slice(0, SHOWN);
  return (
    <>
      <ul className={s.labels}>
        {listed.map((label) => (
          <li key={label.code + label.crop}>
            <b>{label.variety}</b>
            {label.own_seed ? ' ✿' : ''}
            <br />
            {label.species}
            {label.own_seed ? ', own seed' : ''}
            {label.packed_for === null ? '' : `, seed of ${label.packed_for}`}
            <br />
            <span className="mono">
              {label.code}, sown {day(label.sow_on, us)}
              <br />
              out {day(label.out_on, us)}
            </span>
          </li>
        ))}
      </ul>
      {labels.length > SHOWN && (
        <button type="button" className="plain" onClick={() => showAll(!all)}>
          {all ? 'Fewer' : `All ${labels.length}, to write by hand`}
        </button>
      )}
    </>
  );
}
