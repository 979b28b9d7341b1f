import type { Season } from '../../api/types';

export const hourOf = (time: string): number => Number(time.slice(0, 2)) + Number(time.slice(3)) / 60;

export type Window = Season['electricity']['windows'][number];

/** A window that overlaps no other, at half the plain price. */
export function freeWindow(windows: Window[], rate: number): Window {
  const taken = (hour: number) =>
    windows.some(({ from, to }) => {
      const [a, b] = [hourOf(from), hourOf(to)];
      return a < b ? hour >= a && hour < b : hour >= a || hour < b;
    });
  const from = [22, 23, 0, 1, 2, 12, 13, 14, 9, 18].find((hour) => !taken(hour) && !taken((hour + 1) % 24)) ?? 3;
  const time = (hour: number) => `${String(hour % 24).padStart(2, '0')}:00`;
  return { from: time(from), to: time(from + 1), rate: rate / 2 };
}
