/** Delay from the source to a stage. */
export interface Delay {
  /** Sum of what is known. @unit ms */
  readonly knownMs: number;
  /** Devices on the way whose delay is not known */
  readonly unknown: number;
}
