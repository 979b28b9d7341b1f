import type { ReactNode } from 'react';

interface UsualProps {
  of: readonly (readonly [string, number | number[]])[];
  choose: (to: number | number[], name: string) => void;
  children?: ReactNode;
}

/** What people say instead of numbers; a press puts the number behind it into the field. */
export function Usual({ of, choose, children }: UsualProps) {
  return (
    <p>
      {of.map(([name, to], index) => (
        <span key={name}>
          {index > 0 && ' · '}
          <button type="button" className="plain" onClick={() => choose(to, name)}>
            {name}
          </button>
        </span>
      ))}
      {children}
    </p>
  );
}
