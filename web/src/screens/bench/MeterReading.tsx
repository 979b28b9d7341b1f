import { Said } from '../../edit/Said';
import s from './bench.module.css';

/** Watts from the label's volts and amps, or from a plug meter's kWh over hours. */
export function MeterReading({ save, name }: { save: (watts: number) => Promise<unknown>; name: string }) {
  const read = (typed: string) => {
    const numbers =
      typed
        .replaceAll(',', '.')
        .match(/\d+(\.\d+)?/g)
        ?.map(Number) ?? [];
    const [a, b] = numbers;
    if (a === undefined || b === undefined || b === 0) return null;
    if (/kwh/i.test(typed)) return (a * 1000) / b;
    if (/v/i.test(typed) && /a/i.test(typed)) return a * b;
    return null;
  };
  return (
    <p className={s.reading}>
      or{' '}
      <Said<string>
        label="Watts from volts and amps, or from a meter"
        name={`${name}.reading`}
        value="120 V, 0.35 A"
        show={String}
        parse={(typed) => {
          const watts = read(typed);
          return watts === null
            ? { ok: false, why: 'Type “120 V, 0.35 A”, or “1.4 kWh in 48 hours”.' }
            : { ok: true, value: String(Number(watts.toFixed(1))) };
        }}
        save={(watts) => save(Number(watts))}
      />{' '}
      from the label, or “1.4 kWh in 48 hours” from a meter
    </p>
  );
}
