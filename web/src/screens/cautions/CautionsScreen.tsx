import { clsx } from 'clsx';
import { words } from '../../api/client';
import { useAllCautions } from '../../season/useCautions';
import s from './cautions.module.css';

/** Everything that can hurt someone at this work, on one page. */
export function CautionsScreen() {
  const { data, error } = useAllCautions();
  return (
    <main className={clsx('work', s.reading)} id="work">
      <h1>Safety</h1>
      <p>
        The maker’s instructions, local codes and a licensed electrician, where wiring is meant, come before anything said here.
      </p>
      {error && <p role="alert">{words(error)}</p>}
      <dl className={s.allCautions}>
        {data?.cautions.map((caution) => (
          <div key={caution.id}>
            <dt>{caution.title}</dt>
            <dd>{caution.text}</dd>
          </div>
        ))}
      </dl>
    </main>
  );
}
