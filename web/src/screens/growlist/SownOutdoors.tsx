import type { Crop } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { fromFrost } from '../../words/dates';

/** `usual` is where the field begins: common practice, no source. */
const WAYS = [
  { key: 'outdoor_sow_offset_days', where: 'In pots outdoors', name: 'outdoor_sow', usual: -60 },
  { key: 'bed_sow_offset_days', where: 'In the bed', name: 'bed_sow', usual: 0 },
] as const;

/** When it is sown under the sky, by methods that do so; they count forwards from that day. */
export function SownOutdoors({ crop, variety, frost }: { crop: Crop; variety: string; frost: string }) {
  const store = useStore();
  return (
    <details>
      <summary>Sown outdoors</summary>
      {WAYS.map(({ key, where, name, usual }) => {
        const days = crop[key];
        const change = { path: ['crops', crop.id, key] };
        const label = `sown ${where.toLowerCase()}, ${variety}`;
        return (
          <div key={key}>
            <label className="tick">
              <input
                type="checkbox"
                name={name}
                checked={days !== null}
                onChange={({ target }) => store.apply([{ ...change, to: target.checked ? usual : null }], label)}
              />{' '}
              {where}: on a day counted from the {frost}
            </label>
            {days !== null && (
              <>
                <EditNumber
                  label={`${where}, sown`}
                  name={`${name}_days`}
                  after="days after"
                  field={`crops.${key}`}
                  value={days}
                  save={(to) => store.change([{ ...change, to }], label)}
                />
                <p className="quiet">{fromFrost(days, frost)}</p>
              </>
            )}
          </div>
        );
      })}
    </details>
  );
}
