import { Input } from 'antd';
import { useId, useRef, useState } from 'react';
import { Refusal } from '../api/client';
import { parseNumber, showNumber, type Bounds } from './numbers';

interface Props {
  label: string;
  value: number;
  bounds: Bounds;
  before?: string;
  after?: string;
  name: string;
  save: (value: number) => Promise<unknown>;
}

/**
 * A number edited where it stands: Enter or leaving the field saves it, Escape brings the last good value back. What
 * cannot be used stays in the field with what to do beside it; nothing is saved.
 */
export function EditNumber({ label, value, bounds, before, after, name, save }: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const sending = useRef(false);

  const commit = async () => {
    if (typed === null || sending.current) return;
    const parsed = parseNumber(typed, bounds);
    if (!parsed.ok) return setWhy(parsed.why);
    if (parsed.value === value) return reset();
    sending.current = true;
    try {
      await save(parsed.value);
      reset();
    } catch (error) {
      setWhy(error instanceof Refusal ? error.message : 'This was not saved. Try again.');
    } finally {
      sending.current = false;
    }
  };
  const reset = () => {
    setTyped(null);
    setWhy(null);
  };

  return (
    <div className="edit">
      <label htmlFor={id}>{label}</label>
      <span className="edit-value">
        <Input
          id={id} name={name} inputMode="decimal" autoComplete="off" variant="underlined" prefix={before} suffix={after}
          value={typed ?? showNumber(value)} status={why === null ? '' : 'error'}
          aria-invalid={why !== null} aria-describedby={why === null ? undefined : `${id}-why`}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => void commit()}
          onKeyDown={(event) => {
            if (event.key === 'Enter') void commit();
            if (event.key === 'Escape') reset();
          }}
        />
      </span>
      {why !== null && <p className="edit-why" id={`${id}-why`} role="alert">{why} Until then {showNumber(value)} stays.</p>}
    </div>
  );
}
