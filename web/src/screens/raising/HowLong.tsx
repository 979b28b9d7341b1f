import { Said, SaidChoice, SaidNumber } from '../../edit/Said';
import { boundsOf } from '../../edit/bounds';
import { parseNumber } from '../../edit/numbers';
import { parseText } from '../../edit/text';
import type { Parsed } from '../../edit/useDraft';
import { plural } from '../../words/sowing';
import type { StageEdit, StageProps } from './useStageEdit';

const KINDS = { emergence: 'emergence', rest: 'rest', days: 'days' } as const;
/** Where nobody knows how long a stage lasts: two weeks. */
const FIRST_DAYS = 14;
const DAY_MS = 86_400_000;
const ADD_SIGN = 'add a sign';

const parseSign = (typed: string): Parsed<string | null> =>
  typed.trim() === '' || typed === ADD_SIGN ? { ok: true, value: null } : parseText(typed);
const parseDays = (typed: string): Parsed<number> => parseNumber(typed, boundsOf('methods.stages.days'));

interface Props extends Pick<StageProps, 'method' | 'index' | 'stage' | 'grown'> {
  edit: StageEdit;
}

/** "18 days, until roots show": a number of days, until they are up, or for the rest of the crop's weeks; and by what sign it ends. */
export function HowLong({ method, index, stage, grown, edit }: Props) {
  const { first, label, name, save, set } = edit;
  const kind = stage.days === 'emergence' ? KINDS.emergence : stage.days === 'rest' ? KINDS.rest : KINDS.days;
  const restElsewhere = method.stages.some((other, at) => at !== index && other.days === 'rest');
  const lasts = grown?.from && grown.to ? Math.round((Date.parse(grown.to) - Date.parse(grown.from)) / DAY_MS) : null;
  return (
    <>
      {kind === KINDS.days && (
        <>
          <Said<number>
            label={label('days')}
            name={name('days')}
            value={stage.days as number}
            show={String}
            parse={parseDays}
            inputMode="decimal"
            save={save('days', 'days')}
          />{' '}
        </>
      )}
      <SaidChoice
        label={label('how long')}
        name={name('kind')}
        value={kind}
        options={[
          [KINDS.days, 'days'] as const,
          ...(first ? [[KINDS.emergence, 'until they are up'] as const] : []),
          ...(!first && !restElsewhere ? [[KINDS.rest, 'for the rest of its weeks'] as const] : []),
        ]}
        choose={(to) => set('days', 'how long')(to === KINDS.days ? (lasts ?? FIRST_DAYS) : to)}
      />
      {kind === KINDS.emergence && (
        <>
          {' '}
          and{' '}
          <SaidNumber
            label={label('days after they are up')}
            name={name('extra')}
            field="methods.stages.extra_days"
            value={stage.extra_days}
            save={save('extra_days', 'days after')}
          />{' '}
          {plural(stage.extra_days, 'day')} more
        </>
      )}
      {kind !== KINDS.days && lasts !== null && <> ({lasts} days)</>}
      {stage.until === null ? '; ' : ', until '}
      <Said<string | null>
        label={label('the sign that it is over')}
        name={name('until')}
        value={stage.until}
        show={(value) => value ?? ADD_SIGN}
        parse={parseSign}
        save={save('until', 'sign')}
      />
      .{' '}
    </>
  );
}
