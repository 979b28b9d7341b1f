import { useEffect, type RefObject } from 'react';
import type { InputRef } from 'antd';

/** "/" goes to this field, from anywhere that no text is being typed. */
export function useSlashKey(field: RefObject<InputRef | null>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [field]);
}
