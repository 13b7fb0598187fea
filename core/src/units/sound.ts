/** Speed of sound at 20 °C. @unit m/s */
export const SOUND_MPS = 343;

/**
 * Speed of sound in dry air, m/s.
 * @param temperatureC of the air, °C; null = 20
 * @source ISO 9613-1, 343.2 · √(T / 293.15 K)
 */
export const soundMps = (temperatureC: number | null): number =>
  temperatureC === null ? SOUND_MPS : 343.2 * Math.sqrt((temperatureC + 273.15) / 293.15);
