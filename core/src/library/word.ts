export interface Words {
  readonly label: string;
  readonly unit?: string;
  /** What it is, in a sentence */
  readonly says?: string;
  /** Under which heading a data sheet has it */
  readonly sheet?: string;
}

export const figure = (label: string, unit: string, says: string, sheet: string): Words => ({
  label,
  unit,
  says,
  sheet,
});
export const plain = (label: string, says?: string): Words => ({
  label,
  ...(says ? { says } : {}),
});
