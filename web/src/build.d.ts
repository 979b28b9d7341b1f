/** Which build this is (vite.config.ts). */
declare const __BUILD__: string;
