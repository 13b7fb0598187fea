import { nameOfThing } from '../../passes/names';
import { type CircuitLoading, circuitLoadings } from '../../passes/power';
import { eachPowerRule } from '../rule-of';
import { aboutCircuit } from './loading';

/** So many large ones at once make a quick breaker trip. @source handbook 5, Power: inrush class */
const LARGE_AT_ONCE = 3;

export const inrush = eachPowerRule<CircuitLoading>(
  'power.inrush',
  {
    looksFor: 'Several large supplies on one circuit that are switched on at once.',
    why: 'Each draws many times its current for a moment; together they trip a breaker that carries them for hours.',
    remedy: 'Switch them on one after another, or use a strip that does.',
    source: 'handbook 5, Power: inrush class',
  },
  {
    all: circuitLoadings,
    about: aboutCircuit,
    judge: ({ circuit, drawn }, measured) => {
      const large = drawn.filter((one) => one.inrush === 'large');
      return large.length >= LARGE_AT_ONCE
        ? {
            level: 'note',
            title: `${large.length} large supplies start on ${circuit.name}`,
            says:
              `${large.map((one) => nameOfThing(measured, one)).join(', ')} draw many times their ` +
              `current in the moment they ` +
              'are switched on. Switch them on one after another.',
          }
        : null;
    },
  },
);
