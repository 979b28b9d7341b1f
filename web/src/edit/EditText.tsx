import { clsx } from 'clsx';
import { Input } from 'antd';
import { useId } from 'react';
import { useFieldName } from './typed';
import { useDraft, type Parsed } from './useDraft';
import s from './edit.module.css';

export interface EditProps<T> {
  label: string;
  /** Whose it is, for those who cannot see where it stands. */
  of?: string;
  value: T;
  name: string;
  show: (value: T) => string;
  parse: (typed: string) => Parsed<T>;
  save: (value: T) => Promise<unknown>;
  before?: string;
  after?: string;
  inputMode?: 'decimal' | 'text';
  type?: 'text' | 'date';
  /** Only the field: its label is for screen readers. */
  bare?: boolean;
  hint?: string;
  /** It is the catalogue's, and nobody has looked at it. */
  guess?: boolean;
}

/** A value edited where it stands: Enter or leaving the field saves it, Escape brings the last good value back. */
export function EditText<T>({
  label,
  of,
  value,
  name,
  show,
  parse,
  save,
  before,
  after,
  inputMode = 'text',
  type = 'text',
  bare = false,
  hint,
  guess = false,
}: EditProps<T>) {
  const id = useId();
  const draft = useDraft(value, show, parse, save, useFieldName(name));
  return (
    <div className={clsx(s.edit, bare ? s.editBare : undefined)} title={hint}>
      <label htmlFor={id}>
        {label}
        {of !== undefined && <span className="hidden"> of {of}</span>}
        {guess && <small className={s.guess}> a guess</small>}
      </label>
      <span className={s.editValue}>
        <Input
          id={id}
          name={name}
          type={type}
          inputMode={inputMode}
          autoComplete="off"
          variant="underlined"
          prefix={before}
          suffix={after}
          value={draft.text}
          data-typed={draft.changed ? 'yes' : undefined}
          status={draft.why === null ? '' : 'error'}
          aria-invalid={draft.why !== null}
          aria-describedby={draft.why === null ? undefined : `${id}-why`}
          onFocus={(event) => event.target.select()}
          onChange={(event) => draft.type(event.target.value)}
          onBlur={() => void draft.commit()}
          onKeyDown={(event) => {
            if (event.key === 'Enter') void draft.commit();
            if (event.key === 'Escape') draft.reset();
          }}
        />
      </span>
      {draft.why !== null && (
        <p className="edit-why" id={`${id}-why`} role="alert">
          {draft.why} Until then {show(value) || 'nothing'} stays.
        </p>
      )}
    </div>
  );
}
