import { useQuery } from '@tanstack/react-query';
import { Button, Drawer } from 'antd';
import { api } from '../api/client';
import { quantity } from './quantity';

export interface Asked { figure: string; crop: string | null }

interface Props { season: number; setup: string; asked: Asked | null; currency: string; us: boolean; ask: (asked: Asked | null) => void }

/** How a figure comes about: the rule in words, the formula with its numbers, and each number with its own working. */
export function WorkingDrawer({ season, setup, asked, currency, us, ask }: Props) {
  const { data, error } = useQuery({
    queryKey: ['working', season, setup, asked?.figure, asked?.crop],
    queryFn: () => api.working(season, setup, asked?.figure ?? '', asked?.crop ?? null),
    enabled: asked !== null,
  });
  const narrow = window.matchMedia('(max-width: 640px)').matches;
  return (
    <Drawer open={asked !== null} onClose={() => ask(null)} title={data?.title ?? 'How this comes about'} size={narrow ? '75vh' : 440} placement={narrow ? 'bottom' : 'right'}>
      {error && <p role="alert">{error.message}</p>}
      {data && (
        <div className="working">
          <p className="working-value mono copper">{quantity(data.value, data.unit, currency, us)}</p>
          <p>{data.rule}</p>
          {data.formula !== '' && <p className="mono working-formula">= {data.formula}</p>}
          <table>
            <tbody>
              {data.terms.map((term, index) => (
                <tr key={index}>
                  <th scope="row">{term.label}<span className="origin">{term.path !== null ? 'from your season' : term.working === null ? 'computed' : ''}</span></th>
                  <td className="mono">
                    {quantity(term.value, term.unit, currency, us)}
                    {term.working !== null && asked !== null && (
                      <Button type="link" size="small" onClick={() => ask({ figure: term.working as string, crop: asked.crop })}>why?</Button>
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
