import { clsx } from 'clsx';
import { useId } from 'react';
import type { FieldName } from '../api/fields.generated';
import { inches } from '../words/measures';
import { fromUnit, inUnit, type Unit } from '../words/units';
import { boundsOf } from './bounds';
import { parseNumber, parseShare, showNumber } from './numbers';
import { useFieldName } from './typed';
import { useDraft, type Parsed } from './useDraft';
import { Why } from './Why';
import s from './edit.module.css';

interface TextProps<T> {
  label: string;
  name: string;
  value: T;
  show: (value: T) => string;
  parse: (typed: string) => Parsed<T>;
  save: (value: T) => Promise<unknown>;
  inputMode?: 'decimal' | 'text';
  className?: string;
  /** It is the catalogue's, and nobody has looked at it. */
  guess?: boolean;
}

/** A word or number of a sentence, changed where it stands: Enter or leaving it saves, Escape brings the old one back. */
export function Said<T>({ label, name, value, show, parse, save, inputMode = 'text', className, guess = false }: TextProps<T>) {
  const id = useId();
  const draft = useDraft(value, show, parse, save, useFieldName(name));
  return (
    <span className={s.said}>
      <input
        name={name}
        aria-label={guess ? `${label}, a guess` : label}
        title={guess ? `${label}: a guess` : label}
        className={clsx(s.saidInput, guess && s.guessed, className)}
        inputMode={inputMode}
        autoComplete="off"
        value={draft.text}
        data-typed={draft.changed ? 'yes' : undefined}
        style={{ ['--letters' as string]: Math.min(36, Math.max(1, draft.text.length)) }}
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
      {draft.why !== null && <Why id={`${id}-why`} why={draft.why} stays={show(value) || 'nothing'} />}
    </span>
  );
}

interface NumberProps {
  label: string;
  name: string;
  field: FieldName;
  value: number;
  save: (value: number) => Promise<unknown>;
  /** Shown and typed "of 100". */
  share?: boolean;
  /** Shown and typed in this unit; kept in the core's. */
  unit?: Unit;
  /** The core's own unit as a part of litres, metres or kilograms: 0.001 where it is millimetres. */
  per?: number;
  places?: number;
  className?: string;
  guess?: boolean;
}

/** A number of a sentence, within the season file's bounds. */
export function SaidNumber({ field, value, save, share = false, unit, per = 1, places = 3, ...props }: NumberProps) {
  const bounds = boundsOf(field);
  const out = (core: number) => (unit ? Number(inUnit(core * per, unit).toFixed(places)) : core * (share ? 100 : 1));
  const back = (shown: number) => (unit ? Number((fromUnit(shown, unit) / per).toPrecision(12)) : shown / (share ? 100 : 1));
  const shownBounds = { ...bounds, least: out(bounds.least), most: out(bounds.most), unit };
  return (
    <Said<number>
      {...props}
      inputMode="decimal"
      value={out(value)}
      show={(shown) => (unit === 'in' ? inches(shown) : showNumber(shown, bounds.kind))}
      parse={(typed) => (share ? parseShare : parseNumber)(typed, shownBounds)}
      save={(shown) => save(back(shown))}
    />
  );
}

interface ChoiceProps {
  label: string;
  name: string;
  value: string;
  options: readonly (readonly [value: string, words: string])[];
  choose: (value: string) => void;
}

/** One of several, as a word of the sentence. */
export function SaidChoice({ label, name, value, options, choose }: ChoiceProps) {
  const shown = options.find(([key]) => key === value)?.[1] ?? value;
  return (
    <select
      name={name}
      aria-label={label}
      title={label}
      className={s.saidChoice}
      style={{ ['--letters' as string]: shown.length }}
      value={value}
      onChange={(event) => choose(event.target.value)}
    >
      {options.map(([key, words]) => (
        <option key={key} value={key}>
          {words}
        </option>
      ))}
    </select>
  );
}
