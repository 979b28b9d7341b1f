import { useMemo } from 'react';
import { useSnapshot, useOnScreen } from './SeasonContext';
import { useGuesses } from './useGuesses';

/** Whether a number is still the catalogue's and nobody has looked at it; in an example nothing is. */
export function useIsGuess(): (list: string, id: string, key: string) => boolean {
  const shown = useOnScreen();
  const { entry } = useSnapshot();
  const { data } = useGuesses(shown, false, entry?.demo === false);
  const paths = useMemo(() => new Set(data?.guesses.map(({ path }) => path.join('.'))), [data]);
  return (list, id, key) => paths.has(`${list}.${id}.${key}`);
}
