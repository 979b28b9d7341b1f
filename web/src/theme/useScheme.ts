import { useEffect, useState } from 'react';
import type { Scheme } from './palette';
import { applyPalette } from './tokens';

const KEY = 'jolly-penny-scheme';

function first(): Scheme {
  const kept = localStorage.getItem(KEY);
  if (kept === 'light' || kept === 'dark') return kept;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

/** The colour scheme: the device's, until the person picks one. */
export function useScheme(): [Scheme, () => void] {
  const [scheme, setScheme] = useState<Scheme>(first);
  useEffect(() => applyPalette(scheme), [scheme]);
  const toggle = () => {
    const next = scheme === 'dark' ? 'light' : 'dark';
    localStorage.setItem(KEY, next);
    setScheme(next);
  };
  return [scheme, toggle];
}
