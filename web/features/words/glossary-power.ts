/** A word of the field, explained. */
export interface Word {
  /** As it is listed */
  readonly term: string;
  /** Other ways it is written in a sentence */
  readonly forms?: readonly string[];
  /** Listed, and not explained in a sentence: devices are called so, and then it is a name */
  readonly isListedOnly?: true;
  readonly says: string;
}

/** The words of mains and batteries. */
export const POWER_WORDS: readonly Word[] = [
  {
    term: 'hum loop',
    says:
      'Two devices joined by a signal cable and earthed in two places: the current of the ' +
      'mains between them is heard as hum.',
  },
  {
    term: 'inrush',
    says:
      'What a device draws in the moment it is switched on, many times what it draws later. ' +
      'Several at once can trip a breaker.',
  },
  {
    term: 'power factor',
    says:
      'How much of the current a device draws becomes power. At 0.6 it loads cable and ' +
      'breaker with 1.7 times its watts.',
  },
  {
    term: 'UPS',
    says:
      'A supply with a battery that goes on when the mains fails, for as many minutes as ' +
      'its battery and its load allow.',
  },
];
