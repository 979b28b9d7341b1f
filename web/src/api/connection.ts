import { onlineManager } from '@tanstack/react-query';

const AGAIN_MS = 3000;

let timer: number | undefined;

/**
 * Whether the server can be reached, told by what it answers: while it cannot, requests wait, and are tried again every few
 * seconds. (A device without any network says so itself.)
 */
export const connection = {
  lost(): void {
    window.clearTimeout(timer);
    timer = window.setTimeout(() => onlineManager.setOnline(true), AGAIN_MS);
    onlineManager.setOnline(false);
  },
  found(): void {
    if (onlineManager.isOnline()) return;
    window.clearTimeout(timer);
    onlineManager.setOnline(true);
  },
};
