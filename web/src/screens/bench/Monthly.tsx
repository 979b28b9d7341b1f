import { EditText } from '../../edit/EditText';
import { SaidChoice } from '../../edit/Said';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import type { Unit } from '../../words/units';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

interface MonthlyProps {
  label: string;
  unit: string;
  field: 'places.temp_c' | 'places.daylight';
  value: number | number[] | null;
  save: (value: number | number[] | null) => Promise<unknown>;
  /** The same where no field can say what was refused. */
  set: (value: number | number[] | null) => void;
  out: (core: number) => number;
  back: (shown: number) => number;
  maybe?: boolean;
}

/** One number for the year, or twelve by month: typed as they are read off, with commas between. */
export function Monthly({ label, unit, field, value, save, set, out, back, maybe = false }: MonthlyProps) {
  const bounds = boundsOf(field);
  const degrees: Unit | undefined = unit === '°F' || unit === '°C' ? unit : undefined;
  const shownBounds = { ...bounds, least: out(bounds.least), most: out(bounds.most), unit: degrees };
  const tidy = (core: number) => showNumber(Number(out(core).toFixed(1)));
  const show = (now: number | number[] | null) => (now === null ? '' : Array.isArray(now) ? now.map(tidy).join(', ') : tidy(now));
  const monthly = Array.isArray(value);
  return (
    <>
      <EditText<number | number[] | null>
        label={`${label}, ${unit}`}
        name={field}
        value={value}
        show={show}
        parse={(typed) => {
          if (typed.trim() === '' && (maybe || value === null)) return { ok: true, value: null };
          const cells = typed.split(/[,;]\s+|;|\s{2,}|\t/).filter((cell) => cell.trim() !== '');
          if (cells.length !== 1 && cells.length !== 12)
            return { ok: false, why: 'Type one number, or twelve from January on with commas between.' };
          const numbers: number[] = [];
          for (const cell of cells) {
            const parsed = parseNumber(cell, shownBounds);
            if (!parsed.ok) return parsed;
            numbers.push(back(parsed.value));
          }
          return { ok: true, value: numbers.length === 12 ? numbers : (numbers[0] ?? null) };
        }}
        save={save}
      />
      {value !== null && (
        <SaidChoice
          label={`${label}: one number or by month`}
          name={`${field}.kind`}
          value={monthly ? 'months' : 'one'}
          options={[
            ['one', 'the same all year'],
            ['months', `by month, ${MONTHS[0]} to ${MONTHS[11]}`],
          ]}
          choose={(to) =>
            set(to === 'months' ? Array.from({ length: 12 }, () => value as number) : ((value as number[])[3] ?? null))
          }
        />
      )}
    </>
  );
}
