/** `−18.2 dBFS`; nothing is silence. */
export const level = (value: number | null, unit: string): string =>
  value === null ? 'silence' : `${value.toFixed(1).replace('-', '−')} ${unit}`;

/** `+3.1 dB`, `−0.4 dB`; a dash where it is not known. */
export const offText = (db: number | null): string =>
  db === null ? '—' : `${db < 0 ? '−' : '+'}${Math.abs(db).toFixed(1)} dB`;
