import { useState } from 'react';
import type { Container } from '../../api/types';
import { EditBounded } from '../../edit/EditNumber';
import { SaidChoice } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';
import { fromUnit, inUnit } from '../../words/units';

type Measured = NonNullable<Container['measured']>;
type Side = 'rim_mm' | 'base_mm' | 'height_mm';
/** The shorter sides of a box; the season's file keeps them beside the pot, because its own measures are of round and square ones. */
type Narrow = Pick<Measured, 'rim_mm' | 'base_mm'>;

const UNMEASURED: Measured = { round: true, rim_mm: 75, base_mm: 55, height_mm: 80 };
const HALF = 0.5;

const narrowOf = (pot: Container): Narrow | null => (pot.meta as { narrow?: Narrow } | undefined)?.narrow ?? null;

/** A pot measured with a ruler: what it holds and how many stand in a tray follow from it, once a measure is typed. */
export function PotMeasures({ pot, us }: { pot: Container; us: boolean }) {
  const store = useStore();
  const [draft, setDraft] = useState<{ measured: Measured; narrow: Narrow | null }>({ measured: UNMEASURED, narrow: null });
  const { measured, narrow } = pot.measured === null ? draft : { measured: pot.measured, narrow: narrowOf(pot) };
  const shape = narrow ? 'box' : measured.round ? 'round' : 'square';
  const path = ['containers', pot.id];
  const edits = (next: Measured, sides: Narrow | null) => {
    const { narrow: before, ...others } = (pot.meta ?? {}) as { narrow?: Narrow };
    const meta = sides ? { ...others, narrow: sides } : others;
    return [
      { path: [...path, 'measured'], to: next },
      ...(sides === null && before === undefined ? [] : [{ path: [...path, 'meta'], to: meta }]),
    ];
  };
  const put = (next: Measured, sides: Narrow | null = narrow) => store.change(edits(next, sides), `measured, ${pot.name}`);
  const choose = (to: string) => {
    const next = { ...measured, round: to === 'round' };
    const sides = to === 'box' ? (narrow ?? { rim_mm: measured.rim_mm * HALF, base_mm: measured.base_mm * HALF }) : null;
    // A pot that nobody has measured keeps what it holds until somebody does.
    if (pot.measured === null) setDraft({ measured: next, narrow: sides });
    else store.apply(edits(next, sides), `shape, ${pot.name}`);
  };
  const side = (key: Side, label: string) => (
    <Length us={us} label={label} name={key} millimetres={measured[key]} save={(to) => put({ ...measured, [key]: to })} />
  );
  const narrowSide = (key: keyof Narrow, label: string) =>
    narrow && (
      <Length
        us={us}
        label={label}
        name={`narrow_${key}`}
        millimetres={narrow[key]}
        save={(to) => put(measured, { ...narrow, [key]: to })}
      />
    );
  return (
    <div data-part="measure">
      <h2>Measured with a ruler</h2>
      <p>
        The pot is{' '}
        <SaidChoice
          label="Shape of the pot"
          name="shape"
          value={shape}
          options={[
            ['round', 'round'],
            ['square', 'square'],
            ['box', 'longer than wide'],
          ]}
          choose={choose}
        />
      </p>
      {side('rim_mm', narrow ? 'Length at the rim' : 'Across the rim')}
      {narrowSide('rim_mm', 'Width at the rim')}
      {side('base_mm', narrow ? 'Length at the base' : 'Across the base')}
      {narrowSide('base_mm', 'Width at the base')}
      {side('height_mm', 'Height')}
      <p className="quiet">
        {pot.measured
          ? 'The volume, up to a finger below the rim, and the number in a tray are worked out from these.'
          : 'Change a measure to work the volume out again.'}
        {pot.measured && (
          <>
            {' '}
            <button
              type="button"
              className="plain"
              onClick={() => store.apply([{ path: [...path, 'measured'], to: null }], `measures, ${pot.name}`)}
            >
              Clear the measures
            </button>
          </>
        )}
      </p>
    </div>
  );
}

interface LengthProps {
  us: boolean;
  label: string;
  name: string;
  millimetres: number;
  save: (millimetres: number) => Promise<unknown>;
}

function Length({ us, label, name, millimetres, save }: LengthProps) {
  const unit = us ? 'in' : 'cm';
  return (
    <EditBounded
      label={label}
      name={name}
      after={unit}
      bounds={{ least: inUnit(0.001, unit), most: inUnit(1, unit), unit }}
      value={Number(inUnit(millimetres / 1000, unit).toFixed(2))}
      save={(value) => save(Number((fromUnit(value, unit) * 1000).toFixed(2)))}
    />
  );
}
