/** One answer to a question on which good practitioners differ. */
export interface School<Value extends string = string> {
  readonly value: Value;
  readonly label: string;
  /** Why its followers hold it */
  readonly reason: string;
  /** What choosing it changes in the verdict */
  readonly changes: string;
}

export interface HouseQuestion {
  readonly question: string;
  /** The first is the default */
  readonly schools: readonly [School, ...School[]];
}

export const school = <const Value extends string>(
  value: Value,
  label: string,
  reason: string,
  changes: string,
): School<Value> => ({ value, label, reason, changes });
