/** Writes one key of the things a line stands for. */
export type SaveKey = (key: string, label: string) => (to: unknown) => Promise<unknown>;
