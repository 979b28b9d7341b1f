import type { Warned } from '../../api/types';

/** Cautions where the work is chosen: short, once, folded but for their titles. */
export function Cautions({ cautions }: { cautions: Warned[] }) {
  if (cautions.length === 0) return null;
  return (
    <div className="cautions" aria-label="Cautions">
      {cautions.map((caution) => <details key={caution.id}><summary><span aria-hidden="true">▲</span> {caution.title}</summary><p>{caution.text}</p></details>)}
    </div>
  );
}
