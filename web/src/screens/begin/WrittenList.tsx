import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect, useState } from 'react';
import { answered, client, words } from '../../api/client';
import { boundsOf } from '../../edit/bounds';
import { EditBounded } from '../../edit/EditNumber';
import s from './begin.module.css';

/** So long after the last key the list is read. */
const PAUSE_MS = 400;
/** What is planned where a line has no number. */
const WANTED = 6;
const EXAMPLE = '12 tomatoes\n6 peppers, 8 zinnia\nbasil x4';

interface Props {
  value?: string;
  onChange?: (text: string) => void;
  metric: boolean;
}

/** The list as one writes it on paper, and under it how it is understood; what is not clear is asked at once. */
export function WrittenList({ value = '', onChange, metric }: Props) {
  const [asked, setAsked] = useState(value);
  useEffect(() => {
    const timer = window.setTimeout(() => setAsked(value), PAUSE_MS);
    return () => window.clearTimeout(timer);
  }, [value]);
  const { data, error } = useQuery({
    queryKey: ['read-list', asked, metric],
    queryFn: () => answered(client.POST('/api/list', { body: { text: asked, metric } })),
    enabled: asked.trim() !== '',
    placeholderData: keepPreviousData,
  });
  const lines = value.trim() === '' ? [] : (data?.lines ?? []);
  const instead = (text: string, by: string) => onChange?.(value.replace(text, () => by));
  return (
    <>
      <Input.TextArea
        value={value}
        onChange={(event) => onChange?.(event.target.value)}
        placeholder={EXAMPLE}
        autoSize={{ minRows: 5, maxRows: 14 }}
        aria-label="Write it as you would on paper"
        name="list"
      />
      {error && <p role="alert">{words(error)}</p>}
      <ul
        className={s.read}
        data-part="read-list"
        aria-live="polite"
        // Enter answers the line here; it does not send the questions off.
        onKeyDown={(event) => event.key === 'Enter' && event.target instanceof HTMLInputElement && event.preventDefault()}
      >
        {lines.map(({ text, name, variety, wanted, question, nearest }, i) =>
          question === null ? (
            <li key={`${i}-${text}`}>
              <span>
                {variety === '' ? name : variety}{' '}
                {variety !== '' && name?.toLowerCase() !== variety.toLowerCase() && (
                  <small className="quiet">{name?.toLowerCase()}</small>
                )}
              </span>
              <span className="mono">{wanted ?? WANTED}</span>
            </li>
          ) : (
            <li key={`${i}-${text}`} className={s.unclear} data-part="unclear">
              <b>{question}</b>
              {name !== null && (
                <EditBounded
                  label={`Plants of ${name.toLowerCase()}`}
                  name={`asked-${i}`}
                  bounds={boundsOf('crops.wanted')}
                  value={wanted ?? WANTED}
                  save={(to) => {
                    instead(text, `${to} ${variety === '' ? name : variety}`);
                    return Promise.resolve();
                  }}
                />
              )}
              {nearest.map((one) => (
                <Button key={one} size="small" onClick={() => instead(text, `${wanted ?? WANTED} ${one}`)}>
                  It is {one.toLowerCase()}
                </Button>
              ))}
              <Button size="small" type="text" onClick={() => instead(text, '')}>
                Leave “{text}” out
              </Button>
            </li>
          ),
        )}
      </ul>
    </>
  );
}
