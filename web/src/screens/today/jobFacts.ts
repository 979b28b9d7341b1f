import type { Job, LogEntry } from '../../api/types';

export type Fact = Omit<LogEntry, 'id' | 'at'>;

/** What is written down when a job is done as it stands, or with another number. */
export function factsOf(job: Job, on: string, count: number | null): Fact[] {
  const base = { on, kind: job.kind_of_entry, crop: job.crop, job: job.id, tray: job.tray };
  if (job.kind_of_entry === 'sown' && job.parts.length > 0) {
    let left = count ?? job.parts.reduce((sum, { sites }) => sum + sites, 0);
    return job.parts.flatMap(({ tray, row, sites, seeds }, i) => {
      // What is sown beyond the plan stands in the last tray, unless another is named.
      const some = i === job.parts.length - 1 ? left : Math.min(sites, left);
      left -= some;
      return some === 0 ? [] : [{ ...base, tray, row, count: some, seeds: Math.round((seeds * some) / sites) }];
    });
  }
  const seeds =
    job.seeds === null || job.count === null || count === null ? job.seeds : Math.round((job.seeds * count) / job.count);
  const amount = job.amount === null ? {} : { amount: Number(job.amount.toFixed(3)), unit: 'L' };
  return [{ ...base, count, seeds: job.kind_of_entry === 'sown' ? seeds : null, ...amount }];
}
