import type { Measured } from '../../passes/measured';
import { phantomAt } from '../../passes/sound';
import { at } from '../about';
import type { Rule } from '../rule';
import { phantomOutputs } from './phantom';

interface Draw {
  readonly deviceId: string;
  readonly name: string;
  readonly portId: string;
  readonly needMa: number;
  readonly maxMa: number;
  readonly who: readonly string[];
}

/** Current drawn from each supply that is switched on, by input. */
const draws = (measured: Measured): Draw[] => {
  const bySupply = new Map<string, Draw>();
  for (const node of phantomOutputs(measured, 'needs')) {
    const phantom = phantomAt(measured, node);
    if (phantom.state !== 'on' || node.port.family !== 'analogue') continue;
    // A supply that states more than one channel's 10 mA is shared by every input on its switch.
    const shared = phantom.maxMa > 10;
    const key = shared
      ? `${phantom.supply.device.id} ${phantom.control}`
      : `${phantom.supply.device.id} ${phantom.supply.id}`;
    const known = bySupply.get(key);
    bySupply.set(key, {
      deviceId: phantom.supply.device.id,
      name: measured.device(phantom.supply.device).name,
      portId: phantom.supply.id,
      maxMa: phantom.maxMa,
      needMa: (known?.needMa ?? 0) + (node.port.phantomNeedMa ?? 0),
      who: [...(known?.who ?? []), measured.device(node.device).name],
    });
  }
  return [...bySupply.values()];
};

/**
 * What two resistors of 6.8 kΩ side by side leave of 48 V: `48 − 3.4 kΩ·I`, 14 V at 10 mA.
 * @unit V @source IEC 61938
 */
export const phantomLeftV = (currentMa: number): number => Math.max(0, 48 - 3.4 * currentMa);

export const phantomOverload: Rule = {
  code: 'sound.phantom-overload',
  area: 'sound',
  looksFor: 'A phantom supply from which more current is drawn than it gives.',
  why: 'The voltage sags and the microphones distort or fall silent.',
  remedy:
    'Spread the microphones over more inputs, or power some of them from a supply of their own.',
  source: 'IEC 61938: P48 up to 10 mA an input',
  find: (measured) =>
    draws(measured)
      .filter((draw) => draw.needMa > draw.maxMa)
      .map((draw) => ({
        code: 'sound.phantom-overload',
        area: 'sound',
        level: 'warn',
        about: at({ deviceId: draw.deviceId, portId: draw.portId }),
        title: `${draw.needMa} mA of phantom power from ${draw.maxMa}`,
        says:
          `${draw.who.join(', ')} draw ${draw.needMa} mA and ${draw.name} gives ${draw.maxMa} ` +
          'mA there. Their sound will sag. Spread them over more inputs.',
      })),
  sums: (measured, { about }) =>
    draws(measured)
      .filter((draw) => draw.deviceId === about.deviceId && draw.portId === about.portId)
      .flatMap((draw) => [
        {
          label: `Phantom current at ${draw.name}`,
          formula: 'sum of the currents drawn',
          inputs: [
            { name: draw.who.join(' + '), value: draw.needMa, unit: 'mA' },
            { name: 'supply', value: draw.maxMa, unit: 'mA' },
          ],
          result: draw.needMa,
          unit: 'mA',
          source: 'IEC 61938',
        },
        {
          label: 'Voltage left at the microphone',
          formula: '48 V − 3.4 kΩ × current',
          inputs: [{ name: 'current', value: draw.needMa, unit: 'mA' }],
          result: phantomLeftV(draw.needMa),
          unit: 'V',
          source: 'IEC 61938',
        },
      ]),
};
