import { Link } from 'react-router';
import type { Night } from '../../api/types';
import { degrees } from '../../words/degrees';
import s from './today.module.css';

/** The coming night in one line, said first: what must come in is a job of the evening further down. */
export function Tonight({ id, night, us }: { id: number; night: Night; us: boolean }) {
  return (
    <p className={night.is_cold ? s.coldNight : s.night} data-part="tonight">
      Tonight {degrees(night.low_c, us)} by dawn:{' '}
      {night.is_cold ? <a href="#group-evening">something must come in or be covered</a> : 'all may stay out'}.{' '}
      <Link to={`/seasons/${id}/weather`}>The weather</Link>
    </p>
  );
}
