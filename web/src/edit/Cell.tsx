import { clsx } from 'clsx';
import { memo, useId, type KeyboardEvent } from 'react';
import { useFieldName } from './typed';
import { useDraft, type Parsed } from './useDraft';
import { moveInGrid } from './moveInGrid';
import { Why } from './Why';
import s from './edit.module.css';

interface Props<T> {
  label: string;
  name: string;
  column: string;
  value: T;
  show: (value: T) => string;
  parse: (typed: string) => Parsed<T>;
  save: (value: T) => Promise<unknown>;
  className?: string;
  /** It is the catalogue's, and nobody has looked at it. */
  guess?: boolean;
  inputMode?: 'decimal' | 'text';
}

const atEdge = (input: HTMLInputElement, forward: boolean): boolean => {
  const all = input.selectionStart === 0 && input.selectionEnd === input.value.length;
  return all || (forward ? input.selectionStart === input.value.length : input.selectionEnd === 0);
};

/** A figure in a line of a list: type over it; Enter and the arrows save and go on, Escape brings the old one back. */
function CellField<T>({
  label,
  name,
  column,
  value,
  show,
  parse,
  save,
  className = '',
  guess = false,
  inputMode = 'text',
}: Props<T>) {
  const id = useId();
  const draft = useDraft(value, show, parse, save, useFieldName(name));
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const input = event.currentTarget;
    const go = (rows: number, columns: number) => {
      event.preventDefault();
      void draft.commit().then((ok) => ok && moveInGrid(input, rows, columns));
    };
    if (event.key === 'Escape') draft.reset();
    else if (event.key === 'Enter') go(event.shiftKey ? -1 : 1, 0);
    else if (event.key === 'ArrowDown') go(1, 0);
    else if (event.key === 'ArrowUp') go(-1, 0);
    else if (event.key === 'ArrowRight' && atEdge(input, true)) go(0, 1);
    else if (event.key === 'ArrowLeft' && atEdge(input, false)) go(0, -1);
  };
  return (
    <span className={s.cell}>
      <input
        name={name}
        aria-label={guess ? `${label}, a guess` : label}
        title={guess ? 'A guess: check it' : undefined}
        className={clsx(s.cellInput, guess && s.guessed, className)}
        data-column={column}
        inputMode={inputMode}
        autoComplete="off"
        value={draft.text}
        data-typed={draft.changed ? 'yes' : undefined}
        style={{ ['--letters' as string]: Math.min(28, Math.max(1, draft.text.length)) }}
        aria-invalid={draft.why !== null}
        aria-describedby={draft.why === null ? undefined : `${id}-why`}
        onFocus={(event) => event.target.select()}
        onClick={(event) => draft.changed || event.currentTarget.select()}
        onChange={(event) => draft.type(event.target.value)}
        onBlur={() => void draft.commit()}
        onKeyDown={onKeyDown}
      />
      {draft.why !== null && <Why id={`${id}-why`} why={draft.why} stays={show(value)} />}
    </span>
  );
}

export const Cell = memo(
  CellField,
  (a, b) => a.value === b.value && a.label === b.label && a.className === b.className && a.name === b.name && a.guess === b.guess,
) as typeof CellField;
