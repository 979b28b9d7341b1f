import { act } from 'react';

/** As a person does it: the framework only hears of a value that was put past its own setter. */
export async function typeInto(field: HTMLInputElement, text: string) {
  await act(async () => {
    field.focus();
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await act(async () => field.blur());
}

export const pressKey = (at: Element, key: string) =>
  act(async () => void at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })));

export const press = (at: HTMLElement) =>
  act(async () => {
    at.dispatchEvent(new MouseEvent('mousedown', { bubbles: true }));
    at.focus();
    at.click();
  });

export const choose = (field: HTMLSelectElement, n: number) =>
  act(async () => {
    field.selectedIndex = n;
    field.dispatchEvent(new Event('change', { bubbles: true }));
  });

/** What a control is called by whoever sees it, or cannot. */
export function nameOf(control: Element): string {
  const label =
    control.getAttribute('aria-label') ??
    (control instanceof HTMLInputElement ? control.labels?.[0]?.textContent : null) ??
    control.textContent ??
    '';
  return label.replace(/\s+/g, ' ').trim() || (control.getAttribute('data-action') ?? control.getAttribute('title') ?? '');
}
