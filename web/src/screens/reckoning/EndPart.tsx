import { Button, Popconfirm } from 'antd';
import type { EndQuestion } from '../../api/types';
import { EditText } from '../../edit/EditText';
import { parseNumber, showNumber, type Bounds } from '../../edit/numbers';
import { logbox } from '../../season/logbox';
import { useLog } from '../../season/useLog';
import { LogTrouble } from '../../page/LogTrouble';
import { today } from '../../words/dates';
import s from './reckoning.module.css';

/** What is only known at the season's end: the hours it took, what broke. */
export function EndPart({ season, questions, over }: { season: number; questions: EndQuestion[]; over: boolean }) {
  const { waiting, entries } = useLog(season);
  // What is not sent yet is said already.
  const [hours, ...things] = questions.map((one) => ({
    ...one,
    said: entries.findLast(({ job }) => job === one.job)?.amount ?? one.said,
  }));
  const asked = things.filter(({ of }) => of > 0);
  const line = (one: EndQuestion, words: string, bounds: Bounds) => (
    <li key={one.job} data-end={one.job}>
      <span>
        {one.name} <small className="quiet">{words}</small>
      </span>
      <EditText<number | null>
        bare
        label={one.unit === 'h' ? one.name : `Broken of ${one.name}`}
        name={one.job}
        inputMode="decimal"
        value={one.said}
        show={(value) => (value === null ? '' : showNumber(value))}
        parse={(typed) => (typed.trim() === '' && one.said === null ? { ok: true, value: null } : parseNumber(typed, bounds))}
        save={(amount) =>
          amount === null
            ? Promise.resolve()
            : logbox.write(season, [
                {
                  on: today(),
                  kind: 'reading',
                  job: one.job,
                  amount,
                  unit: one.unit,
                  // It takes the place of the number given before, of whichever day that was.
                  ...(one.entry === null ? {} : { corrects: one.entry }),
                },
              ])
        }
      />
    </li>
  );
  return (
    <>
      <LogTrouble season={season} />
      {waiting.length > 0 && (
        <p className="quiet" role="status" data-part="kept-here">
          {waiting.length} kept on this device, sent when the server answers.
        </p>
      )}
      <SeasonOver season={season} over={over || entries.some(({ job }) => job === OVER)} />
      <details data-part="end" className={s.end}>
        <summary>At the end: hours worked and what broke</summary>
        <ul>
          {hours && line(hours, `planned ${hours.of.toFixed(1)} h`, { least: 0, most: 5000 })}
          {asked.map((one) => line(one, `broken, of ${one.of} in use`, { least: 0, most: one.of, whole: true }))}
        </ul>
      </details>
    </>
  );
}

const OVER = 'season-over';

/** Its owner says that it is over: what still stands there is composted, and the figures are no longer "so far". */
function SeasonOver({ season, over }: { season: number; over: boolean }) {
  if (over) return <p data-part="season-over">This season is over. Plants that were left are counted as composted.</p>;
  return (
    <p data-part="season-over">
      <Popconfirm
        title="Is this season over?"
        description="Plants that are left are counted as composted. You can undo it in the log."
        okText="End it"
        cancelText="Not yet"
        onConfirm={() => void logbox.write(season, [{ on: today(), kind: 'done', job: OVER }])}
      >
        <Button data-action="season-over">End the season</Button>
      </Popconfirm>
    </p>
  );
}
