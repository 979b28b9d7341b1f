import { useState } from 'react';
import { typed as kept, useFieldName } from '../../edit/typed';

/** What is typed into the field that adds crops. It is kept when one leaves the page. */
export function useAddText() {
  const fieldName = useFieldName('add');
  const [typed, setTyped] = useState(() => kept.get(fieldName)?.text ?? '');
  /** The field keeps what is typed by itself; another round is a new field, with this in it. */
  const [round, setRound] = useState({ number: 0, begins: typed });
  const type = (text: string) => {
    setTyped(text);
    if (text === '') kept.drop(fieldName);
    else kept.put(fieldName, text, '');
  };
  const begin = (text: string) => {
    type(text);
    setRound(({ number }) => ({ number: number + 1, begins: text }));
  };
  return { typed, type, begin, round };
}
