import { Button, Checkbox, Select } from 'antd';
import { useId, useState } from 'react';
import type { NewCrops } from '../../api/types';
import { boundsOf } from '../../edit/bounds';
import { EditBounded } from '../../edit/EditNumber';
import { useCatalogue } from '../../season/useCatalogue';

const KINDS: Record<string, string> = { vegetable: 'Vegetables', herb: 'Herbs', flower: 'Flowers' };

interface Props {
  /** As it was typed: "8 mouse melon". */
  entry: string;
  add: (body: NewCrops) => void;
}

/** Takes a crop that the catalogue does not hold, with what is guessed of it from a relative. */
export function UnknownCrop({ entry, add }: Props) {
  const id = useId();
  const { data } = useCatalogue();
  const [like, setLike] = useState<string | null>(null);
  const [own, setOwn] = useState<{ days?: number; weeks?: number; tender?: boolean }>({});
  const kin = data?.species.find((facts) => facts.id === like);
  const put = (value: typeof own) => {
    setOwn((now) => ({ ...now, ...value }));
    return Promise.resolve();
  };
  return (
    <div data-part="unknown-crop">
      <p>
        <label htmlFor={id}>None of these. It grows much like</label>
        <Select
          id={id}
          showSearch={{ optionFilterProp: 'label' }}
          placeholder="its nearest relative"
          value={like}
          onChange={(value: string) => {
            setLike(value);
            setOwn({});
          }}
          options={Object.entries(KINDS).map(([kind, label]) => ({
            label,
            options: (data?.species ?? [])
              .filter((facts) => facts.kind === kind)
              .map((facts) => ({ value: facts.id, label: facts.name })),
          }))}
        />
      </p>
      {kin && (
        <div key={kin.id}>
          <EditBounded
            label="Days to come up in the warm"
            name="own-days"
            after="days"
            bounds={boundsOf('species.days_to_emerge')}
            value={own.days ?? kin.daysToEmerge}
            save={(days) => put({ days })}
          />
          <EditBounded
            label="From sowing to planting out"
            name="own-weeks"
            after="weeks"
            bounds={boundsOf('species.weeks')}
            value={own.weeks ?? kin.weeks}
            save={(to) => put({ weeks: to })}
          />
          <Checkbox checked={own.tender ?? kin.tender} onChange={({ target }) => void put({ tender: target.checked })}>
            Frost kills it
          </Checkbox>
          <p className="quiet">The rest, and the price of a packet, are the relative’s until you change them.</p>
        </div>
      )}
      <Button type="primary" disabled={!kin} onClick={() => like !== null && add({ text: entry, like, ...own })}>
        Add it as one of your own
      </Button>
    </div>
  );
}
