import { Checkbox } from 'antd';
import s from './begin.module.css';

/** What may be there already, and its outline. */
const THINGS: [string, string, string][] = [
  ['led', 'an LED lamp', 'M4 8h32v6H4zM12 2v6M28 2v6'],
  ['old_lamp', 'an old fluorescent lamp', 'M2 10h36v4H2zM6 4h28v4H6z'],
  ['mat', 'a heat mat', 'M4 16h32l-4 6H8zM10 12q3-3 0-6M20 12q3-3 0-6M30 12q3-3 0-6'],
  ['shelf', 'a shelf and a timer', 'M6 2v20M34 2v20M6 6h28M6 14h28M6 21h28'],
  ['trays', 'cell trays', 'M3 12h34v8H3zM10 12v8M17 12v8M24 12v8M31 12v8'],
  ['saved_pots', 'saved pots', 'M6 8h10l-2 13H8zM24 8h10l-2 13h-6z'],
  ['jugs', 'saved jugs', 'M13 8q0-3 4-3V2h6v3q4 0 4 3v13H13zM27 10q6 0 4 8'],
];

interface Props {
  value?: string[];
  onChange?: (value: string[]) => void;
}

/** Each thing one has already, drawn; it costs nothing at the checkout. */
export function Owned({ value = [], onChange }: Props) {
  return (
    <Checkbox.Group value={value} onChange={(all) => onChange?.(all)} className={s.owned}>
      {THINGS.map(([id, name, outline]) => (
        <Checkbox key={id} value={id}>
          <svg viewBox="0 0 40 24" width="40" height="24" aria-hidden="true">
            <path d={outline} />
          </svg>
          {name}
        </Checkbox>
      ))}
    </Checkbox.Group>
  );
}
