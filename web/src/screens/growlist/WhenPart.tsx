import { Segmented } from 'antd';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { useStore } from '../../season/SeasonContext';
import { day, fromFrost } from '../../words/dates';
import { odds } from '../../words/sowing';
import { OffersPart } from './OffersPart';
import type { PanelProps } from './panel';
import { parseMaybeDate } from './parse';
import { PurposePart } from './PurposePart';
import { Rounds } from './Rounds';
import { SownOutdoors } from './SownOutdoors';
import s from './growlist.module.css';

/** What the plants are for, when they go out, rounds, and the nursery's offers. */
export function WhenPart(props: PanelProps) {
  const {
    shown: { season, setup },
    crop,
    result,
    facts: { lot, species },
  } = props;
  const store = useStore();
  const us = season.units === 'us';
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const set = (key: string, label: string) => (to: unknown) =>
    store.apply([{ path: ['crops', crop.id, key], to }], `${label}, ${lot.variety}`);
  const frost = crop.anchor === 'first_frost' ? 'first frost' : 'last frost';
  return (
    <section aria-label="Purpose and dates">
      <PurposePart {...props} />
      <h2 className={s.partName}>When</h2>
      <Segmented<string>
        aria-label="Counted from"
        size="small"
        value={crop.anchor}
        disabled={season.first_frost === null && crop.anchor === 'last_frost'}
        onChange={set('anchor', 'counted from')}
        options={[
          { value: 'last_frost', label: 'spring, last frost' },
          { value: 'first_frost', label: 'autumn, first frost' },
        ]}
      />
      {season.first_frost === null && <AskFirstFrost />}
      <EditNumber
        label="Planted out"
        name="offset"
        after="days after"
        field="crops.plant_out_offset_days"
        value={crop.plant_out_offset_days}
        save={save('plant_out_offset_days', 'planting out')}
      />
      <p className="quiet">
        {fromFrost(crop.plant_out_offset_days, frost)}
        {result.plant_out_on === null ? '' : `: ${day(result.plant_out_on, us)}`}
        {result.p_frost !== null && `. A frost comes after that day in ${odds(result.p_frost)} years.`}
      </p>
      {species && species.weeks !== null && species.weeks !== undefined && (
        <EditNumber
          label={`From sowing to planting out, every ${species.name.toLowerCase()}`}
          name="weeks"
          after="weeks"
          field="species.weeks"
          value={species.weeks}
          save={(to) => store.change([{ path: ['species', species.id, 'weeks'], to }], `weeks, ${species.name}`)}
        />
      )}
      <EditText<string>
        label="Sowing date of your own"
        name="sow_on"
        type="date"
        value={crop.sow_on ?? ''}
        show={String}
        parse={parseMaybeDate}
        save={(to) => save('sow_on', 'sowing date')(to === '' ? null : to)}
      />
      <EditNumber
        label="Chilled before"
        name="cold_days"
        after="days"
        field="crops.cold_days"
        value={crop.cold_days}
        save={save('cold_days', 'chilling')}
      />
      {result.cold_on !== null && <p className="quiet">into the cold on {day(result.cold_on, us)}</p>}
      <SownOutdoors crop={crop} variety={lot.variety} frost={frost} />
      <Rounds crop={crop.id} setup={setup.id} />
      <OffersPart {...props} />
    </section>
  );
}

function AskFirstFrost() {
  const store = useStore();
  return (
    <>
      <p className="quiet">Autumn crops are counted back from the first frost. When is it where you are?</p>
      <EditText<string>
        label="First frost"
        name="first_frost_here"
        type="date"
        value=""
        show={String}
        parse={parseMaybeDate}
        save={(to) => (to === '' ? Promise.resolve() : store.change([{ path: ['first_frost'], to }], 'first frost'))}
      />
    </>
  );
}
