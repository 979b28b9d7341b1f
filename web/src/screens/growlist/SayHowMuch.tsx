import { Input } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { useStore } from '../../season/SeasonContext';
import s from './growlist.module.css';

/** "Nine for six", two rows, the whole packet, one each: the odds are the answer. */
export function SayHowMuch({ crop, setup, said }: { crop: string; setup: string; said: boolean }) {
  const store = useStore();
  const [text, setText] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const send = (say: string) => {
    setWhy(null);
    store
      .run('how much to sow', () =>
        answered(
          client.PUT('/api/seasons/{season}/crops/{crop}/sow', {
            params: { path: { season: store.id, crop } },
            body: { words: say, setup },
          }),
        ),
      )
      .then(() => setText(''))
      .catch((error: unknown) => setWhy(words(error)));
  };
  return (
    <form
      className={s.say}
      data-part="say"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') send(text);
      }}
    >
      <Input
        name="say"
        aria-label="Type how much to sow"
        placeholder="or type it: nine for six, two rows, the whole packet"
        value={text}
        status={why === null ? '' : 'error'}
        onChange={(event) => setText(event.target.value)}
      />
      {said && (
        <button type="button" className="plain" onClick={() => send('by rule')}>
          Back to the rule
        </button>
      )}
      {why !== null && (
        <p className="edit-why" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
