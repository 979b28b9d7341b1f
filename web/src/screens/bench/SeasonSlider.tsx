import { useEffect, useRef, useState } from 'react';
import type { BenchPlace } from '../../api/types';
import { day, shortDay } from '../../words/dates';
import s from './bench.module.css';

const WIDE = 860;
const HIGH = 46;
const DAY = 86_400_000;
/** A day of the season takes so long when it is played, ms. */
const PACE = 90;

const dayAt = (first: string, n: number): string => new Date(Date.parse(first) + n * DAY).toISOString().slice(0, 10);

interface Props {
  place: BenchPlace;
  date: string;
  setDate: (date: string) => void;
  us: boolean;
}

/** The season of a place as a silhouette of its flats, with what the lamps reach; the day is dragged, keyed or played. */
export function SeasonSlider({ place, date, setDate, us }: Props) {
  const [playing, play] = useState(false);
  const { days } = place;
  const all = days?.all ?? [];
  const first = days?.first ?? date;
  const at = Math.max(0, Math.min(all.length - 1, Math.round((Date.parse(date) - Date.parse(first)) / DAY)));
  const latest = useRef(at);
  useEffect(() => {
    latest.current = at;
  });
  useEffect(() => {
    if (!playing) return;
    const timer = window.setInterval(() => {
      const next = latest.current + 1;
      if (next >= all.length) play(false);
      else setDate(dayAt(first, next));
    }, PACE);
    return () => window.clearInterval(timer);
  }, [playing, first, all.length, setDate]);
  if (all.length === 0) return null;
  const most = Math.max(...all, days?.lit ?? 0, 1);
  const x = (n: number) => (n / Math.max(1, all.length - 1)) * WIDE;
  const y = (flats: number) => HIGH - (flats / most) * (HIGH - 8);
  const outline = all.map((flats, n) => `L${x(n)},${y(flats)}`).join(' ');
  return (
    <div className={s.slider}>
      <svg viewBox={`0 0 ${WIDE} ${HIGH + 4}`} preserveAspectRatio="none" aria-hidden="true">
        <path d={`M0,${HIGH} ${outline} L${WIDE},${HIGH} Z`} className={s.silhouette} />
        {(days?.lit ?? 0) > 0 && <line x1="0" x2={WIDE} y1={y(days?.lit ?? 0)} y2={y(days?.lit ?? 0)} className={s.reach} />}
        <line x1={x(at)} x2={x(at)} y1="0" y2={HIGH} className={s.now} />
      </svg>
      <div className={s.sliderRow}>
        <input
          type="range"
          name="bench_day"
          min={0}
          max={all.length - 1}
          value={at}
          aria-label="Day of the season"
          aria-valuetext={day(dayAt(first, at), us)}
          onChange={(event) => setDate(dayAt(first, Number(event.target.value)))}
        />
        <button type="button" className="plain" data-action="play" onClick={() => play(!playing)}>
          {playing ? 'Stop' : 'Play the season'}
        </button>
      </div>
      <p className={s.sliderEnds} aria-hidden="true">
        <span>{shortDay(first, us)}</span>
        {(days?.lit ?? 0) > 0 && <span>dashed: the lamps light {days?.lit} trays</span>}
        <span>{shortDay(dayAt(first, all.length - 1), us)}</span>
      </p>
    </div>
  );
}
