import type { Job } from '../../api/types';
import { logbox } from '../../season/logbox';
import s from './today.module.css';

interface Props {
  season: number;
  date: string;
  job: Job;
  /** The entries it was written down by. */
  ids: string[];
  undone: () => void;
}

/** The job that was done last, which can be taken back. */
export function Written({ season, date, job, ids, undone }: Props) {
  return (
    <p className={s.undo} role="status" data-part="undo">
      Written down: {job.words}.{' '}
      <button
        type="button"
        className="plain"
        data-action="undo"
        onClick={() => {
          void logbox.write(
            season,
            ids.map((corrects) => ({ on: date, kind: 'undo' as const, corrects, crop: job.crop, job: null })),
          );
          undone();
        }}
      >
        Undo
      </button>
    </p>
  );
}
