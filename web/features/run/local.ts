/** How far local time is ahead of UTC at a moment. @unit min */
export const zoneMin = (atMs: number): number => -new Date(atMs).getTimezoneOffset();

/** Local seconds since midnight of some day. */
export const localS = (atMs: number): number => atMs / 1000 + zoneMin(atMs) * 60;
