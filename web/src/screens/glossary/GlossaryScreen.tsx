import { clsx } from 'clsx';
import { GLOSSARY } from '../../words/glossary';
import s from '../cautions/cautions.module.css';

/** What the words on the screens mean. */
export function GlossaryScreen() {
  return (
    <main className={clsx('work', s.reading)} id="work">
      <h1>What the words mean</h1>
      <dl className={s.allCautions}>
        {Object.entries(GLOSSARY).map(([id, [term, text]]) => (
          <div key={id}>
            <dt>{term}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </main>
  );
}
