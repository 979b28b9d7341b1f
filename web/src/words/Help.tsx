import { Popover } from 'antd';
import { GLOSSARY, type Term } from './glossary';
import s from './help.module.css';

/** A small "?" beside a term: what it means, in the words of the glossary. */
export function Help({ term }: { term: Term }) {
  const [name, text] = GLOSSARY[term];
  return (
    <Popover content={<p className={s.text}>{text}</p>} title={name} trigger="click">
      <button type="button" className={s.help} aria-label={`What is: ${name}`}>
        ?
      </button>
    </Popover>
  );
}
