import { useState } from 'react';
import type { Due, LogEntry, RowFacts, RowPicture, SeasonState, Stay, TrayPicture, TraysState } from '../../api/types';
import { logbox } from '../../season/logbox';
import type { OnScreen } from '../../season/SeasonContext';
import { siteIn, speciesBeside, varietyOf } from '../../season/site';
import { day, isDate, today } from '../../words/dates';
import { dueWords } from '../../words/due';
import { kindWords } from '../../words/log';
import { plural } from '../../words/sowing';
import { CountBox } from '../today/CountBox';
import { SowAgainPart } from '../today/SowAgainPart';
import { Happened } from './Happened';
import { MoveForm } from './MoveForm';
import { Photos } from './Photos';
import { Timeline } from './Timeline';
import type { Move } from './useTrays';
import s from './trays.module.css';

interface Props {
  shown: OnScreen;
  tray: TrayPicture;
  run: RowPicture;
  facts: RowFacts | undefined;
  /** While it is sown and not up. */
  due: Due | undefined;
  /** How long it may stand in what it is in. */
  stay: Stay | undefined;
  photos: TraysState['photos'];
  trays: TrayPicture[];
  move: (move: Move) => Promise<SeasonState>;
  lay: (body: { do: 'columns'; tray: string; columns: number }, label: string) => Promise<SeasonState>;
  close: () => void;
}

/** A season far from today is written down on a day of its own. */
const FAR_MS = 120 * 86_400_000;
const dayNear = (from: string, counted: string | null | undefined): string =>
  Math.abs(new Date(from).getTime() - Date.now()) > FAR_MS ? (counted ?? from) : today();

/** One row: counted, lost, moved, given away with a tap; its pictures, and all that happened to it. */
export function RowPanel({ shown: { id, season, setup }, tray, run, facts, due, stay, photos, trays, move, lay, close }: Props) {
  const [on, setOn] = useState(() => dayNear(run.from, facts?.counted_on));
  const [note, setNote] = useState('');
  const [said, say] = useState<string | null>(null);
  const name = varietyOf(season, run.crop);
  const species = speciesBeside(season, run.crop);
  const us = season.units === 'us';
  const site = siteIn(season.containers.find((one) => one.id === tray.container));
  const write = (fact: Partial<LogEntry> & { kind: LogEntry['kind'] }) => {
    if (!isDate(on)) return say('Type a date, for example 2027-04-08.');
    void logbox.write(id, [{ on, crop: run.crop, tray: tray.id, note: note.trim(), ...fact }]);
    setNote('');
    say(`Written down: ${fact.count ?? ''} ${kindWords(fact.kind, us)}.`);
  };
  // One job on Today, so one here: all its rows are sown together, wherever they stand.
  const writeSowing = () => {
    if (!isDate(on)) return say('Type a date, for example 2027-04-08.');
    const rows = trays.flatMap((one) =>
      one.runs.filter(({ crop, stage }) => crop === run.crop && stage === 0).map((row) => ({ tray: one.id, row })),
    );
    const job = { on, kind: 'sown', crop: run.crop, job: `${run.crop}-sow` } as const;
    void logbox.write(
      id,
      rows.map(({ tray, row }) => ({ ...job, tray, row: row.row, count: row.sites, seeds: row.seeds })),
    );
    say(`Written down: sown in ${rows.length} ${plural(rows.length, 'row')} of trays.`);
  };
  const unsown = !facts || (facts.sown_on === null && facts.up === null);
  return (
    <section className={s.panel} aria-labelledby="row-title" data-part="row">
      <h2 id="row-title">
        {name}, {species !== null && `${species}, `}
        {run.code}{' '}
        <button type="button" className="plain" data-action="close-row" onClick={close}>
          close
        </button>
      </h2>
      <RowState run={run} facts={facts} due={due} stay={stay} site={site} us={us} />
      <label className={s.field}>
        Day <input type="date" name="row-day" value={on} onChange={(event) => setOn(event.target.value)} />
      </label>
      {unsown && (
        <div className={s.field}>
          Nothing is sown here yet. Once it is sown, you can count it and move it.
          <button type="button" data-action="sown" onClick={() => writeSowing()}>
            Sown as planned, on {day(on, us)}
          </button>
        </div>
      )}
      {run.stage === 0 && !unsown && (
        <>
          <h3>Up?</h3>
          <CountBox
            key={facts?.up ?? 0}
            name={name}
            value={run.up ?? facts?.up ?? 0}
            most={run.count_of}
            looks
            verb={`of ${run.count_of} ${run.unit === 'seeds' ? 'seeds' : plural(run.count_of, site)} up`}
            save={(count) => write({ kind: 'up', count })}
          />
          <SowAgainPart season={season} id={id} setup={setup.id} crop={run.crop} date={on} />
        </>
      )}
      {!unsown && <Happened name={name} us={us} run={run} alive={facts.alive} write={write} />}
      <Note note={note} setNote={setNote} write={() => write({ kind: 'note' })} />
      {said !== null && (
        <p role="status" data-part="said">
          {said}
        </p>
      )}
      <MoveForm tray={tray} run={run} trays={trays} move={move} lay={lay} />
      <Photos season={id} crop={run.crop} tray={tray.id} on={on} photos={photos} />
      <Timeline season={season} id={id} crop={run.crop} tray={tray.id} />
    </section>
  );
}

type StateProps = Pick<Props, 'run' | 'facts' | 'due' | 'stay'> & { site: ReturnType<typeof siteIn>; us: boolean };

/** What stands in the row, since when, how much came up, and until when it may stay. */
function RowState({ run, facts, due, stay, site, us }: StateProps) {
  return (
    <p>
      {run.filled
        ? `${run.sites} ${plural(run.sites, site)}${facts?.sown_on ? `, sown ${day(facts.sown_on, us)}` : ''}`
        : `${run.sites} ${plural(run.sites, site)}${run.stage === 0 ? `, ${run.seeds} seeds` : ''}, for ${day(run.from, us)}`}
      {facts && facts.up !== null && facts.up_of > 0 && (
        <>
          ; {facts.up} of {run.unit === 'seeds' ? facts.seeds : facts.up_of} came up, {Math.round(run.expected)} of {run.count_of}{' '}
          were expected
        </>
      )}
      {run.own_seed ? '; own seed' : ''}
      {due && run.stage === 0 ? `; ${dueWords(due, us)}` : ''}
      {stay ? `; it may stand here until about ${day(stay.until, us)}` : ''}.
    </p>
  );
}

/** Goes with whatever is written down next, or by itself. */
function Note({ note, setNote, write }: { note: string; setNote: (note: string) => void; write: () => void }) {
  return (
    <label className={s.field}>
      Note <input name="row-note" value={note} maxLength={1000} onChange={(event) => setNote(event.target.value)} />
      <button type="button" data-action="note" disabled={note.trim() === ''} onClick={write}>
        Only the note
      </button>
    </label>
  );
}
