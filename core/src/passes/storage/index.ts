/** Recordings on drives: how much an hour takes, and how long a drive lasts. @source handbook 4-time-storage */

/** @param bitrateMbps Mb/s @unit GB per hour, 10⁹ bytes */
export const gbPerHour = (bitrateMbps: number): number => bitrateMbps * 0.45;

/** One channel of 24-bit PCM at 48 kHz. @unit Mb/s */
export const SOUND_CHANNEL_MBPS = 1.152;

/** How long a drive lasts. @param capacityGb GB @param bitrateMbps Mb/s, above 0 @unit h */
export const hoursThatFit = (capacityGb: number, bitrateMbps: number): number =>
  capacityGb / gbPerHour(bitrateMbps);

/** What a drive must write. @param bitrateMbps Mb/s @unit MB/s */
export const writeMBps = (bitrateMbps: number): number => bitrateMbps / 8;
