import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { parseDate } from '../../edit/text';
import { parseMaybeDate } from './parse';

interface Props {
  season: Season;
  save: (path: string[], label: string) => (to: unknown) => Promise<void>;
}

/** The frosts all dates are counted from. */
export function FrostFields({ season, save }: Props) {
  return (
    <>
      <EditText<string>
        label="Last frost"
        name="last_frost"
        type="date"
        value={season.last_frost}
        show={String}
        parse={parseDate}
        save={save(['last_frost'], 'last frost')}
      />
      <EditNumber
        label="The last frost varies by about"
        name="last_frost_spread_days"
        after="days"
        field="last_frost_spread_days"
        value={season.last_frost_spread_days}
        save={save(['last_frost_spread_days'], 'spread of the last frost')}
      />
      <EditText<string>
        label="First frost of autumn"
        name="first_frost"
        type="date"
        value={season.first_frost ?? ''}
        show={String}
        parse={parseMaybeDate}
        save={(to) => save(['first_frost'], 'first frost')(to === '' ? null : to)}
      />
    </>
  );
}
