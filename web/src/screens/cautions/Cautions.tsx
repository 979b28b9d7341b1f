import type { Warned } from '../../api/types';
import s from './cautions.module.css';

/** Cautions where the work is chosen: short, once, folded but for their titles. */
export function Cautions({ cautions }: { cautions: Warned[] }) {
  if (cautions.length === 0) return null;
  return (
    <div className={s.cautions} data-part="cautions" aria-label="Cautions">
      {cautions.map((caution) => (
        <details key={caution.id}>
          <summary>
            <span aria-hidden="true">▲</span> {caution.title}
          </summary>
          <p>{caution.text}</p>
        </details>
      ))}
    </div>
  );
}
