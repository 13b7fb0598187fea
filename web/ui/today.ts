/** Today as a date: `2026-11-28`. */
export const today = (): string => new Date().toISOString().slice(0, 10);
