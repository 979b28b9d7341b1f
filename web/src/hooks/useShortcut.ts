import { useEffect, useRef } from 'react';

/** Ctrl or Cmd with a letter; in a field it stays the field's own while something is typed there. */
export function useShortcut(letter: string, act: () => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.shiftKey && event.key.toLowerCase() === 'z' ? 'y' : event.key.toLowerCase();
      if (key !== letter) return;
      const target = event.target;
      if (target instanceof HTMLTextAreaElement) return;
      if (target instanceof HTMLInputElement && target.dataset.typed === 'yes') return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [letter]);
}
