import { clsx } from 'clsx';
import { Button, Drawer } from 'antd';
import { answered, client, words } from '../api/client';
import type { Path, Term } from '../api/types';
import { fieldOf } from '../edit/bounds';
import { EditNumber } from '../edit/EditNumber';
import { at } from '../season/document';
import { pathWords } from '../season/ConflictDialog';
import { useOnScreen, useStore } from '../season/SeasonContext';
import { useOfRevision } from '../season/useOfRevision';
import { overlays } from '../hooks/overlays';
import { quantity } from './quantity';
import s from './workings.module.css';

/** A figure of the set-up on screen, or of another. */
export interface Asked {
  figure: string;
  crop: string | null;
  setup?: string;
}

interface Props {
  asked: Asked | null;
  ask: (asked: Asked | null) => void;
}

const ORIGIN = { you: 'from you', test: 'from your own test', computed: 'computed' } as const;

/** How a figure comes about: the rule in words, the formula with its numbers, where each came from, and the way to change it. */
export function WorkingDrawer({ asked, ask }: Props) {
  const shown = useOnScreen();
  const [season, setup, revision] = [shown?.id ?? 0, asked?.setup ?? shown?.setup.id ?? '', shown?.revision ?? 0];
  const { data, error } = useOfRevision(
    // What the season came to moves with what is written down, as the trays do.
    [asked?.figure.startsWith('came_') ? 'trays' : 'working', season, 'working', setup, asked?.figure, asked?.crop],
    revision,
    () =>
      answered(
        client.GET('/api/seasons/{season}/setups/{setup}/workings/{figure}', {
          params: { path: { season, setup, figure: asked?.figure ?? '' }, query: { crop: asked?.crop ?? undefined } },
        }),
      ),
    asked !== null && shown !== null,
  );
  const narrow = window.matchMedia('(max-width: 640px)').matches;
  const currency = shown?.season.currency ?? 'USD';
  const us = shown?.season.units === 'us';
  return (
    <Drawer
      open={asked !== null}
      onClose={() => ask(null)}
      title={data?.title ?? 'How this is worked out'}
      size={narrow ? '75vh' : 460}
      placement={narrow ? 'bottom' : 'right'}
      destroyOnHidden
      getContainer={overlays}
    >
      {error && <p role="alert">{words(error)}</p>}
      {data && (
        <div className={s.working} data-part="working">
          <p className={clsx('mono copper', s.workingValue)} data-part="working-value">
            {quantity(data.value, data.unit, currency, us)}
          </p>
          <p>{data.rule}</p>
          {data.formula !== '' && <p className={clsx('mono', s.workingFormula)}>= {data.formula}</p>}
          <table>
            <tbody>
              {data.terms.map((term, index) => (
                <tr key={index}>
                  <th scope="row">
                    {term.label}
                    <span className={s.origin}>
                      {term.origin === 'catalogue' ? (
                        <span title={term.source ?? undefined}>from the catalogue: {term.source}</span>
                      ) : (
                        ORIGIN[term.origin]
                      )}
                    </span>
                  </th>
                  <td className="mono">
                    <TermValue term={term} currency={currency} us={us} />
                    {term.working !== null && asked !== null && (
                      <Button type="link" size="small" onClick={() => ask({ ...asked, figure: term.working as string })}>
                        why?
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Drawer>
  );
}

/** A number of the season is changed right here; any other is only shown. */
function TermValue({ term, currency, us }: { term: Term; currency: string; us: boolean }) {
  const store = useStore();
  const shown = useOnScreen();
  const path = term.path as Path | null;
  const kept = path === null ? undefined : at(shown?.season, path);
  const words = quantity(term.value, term.unit, currency, us);
  if (path === null || typeof kept !== 'number' || kept !== term.value || ['litres', 'celsius'].includes(term.unit)) return words;
  const label = pathWords(shown?.season ?? null, path);
  const field = fieldOf(path);
  if (field === null) return words;
  return (
    <EditNumber
      bare
      label={label}
      name={path.join('.')}
      field={field}
      value={kept}
      save={(to) => store.change([{ path, to }], label.split(', ').slice(-1)[0] ?? label)}
    />
  );
}
