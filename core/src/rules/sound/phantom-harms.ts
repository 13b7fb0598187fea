import type { Fix } from '../../edits/fix';
import { firstCable, replug, splice } from '../../edits/splice';
import { type PortNode, sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { nameOf } from '../../passes/names';
import { type Phantom, phantomAt } from '../../passes/sound';
import { batchFix } from '../rule-of';
import { at } from '../about';
import type { Rule } from '../rule';
import { converterLevels, withGain } from './level';
import { phantomOutputs, switchOff } from './phantom';

export const phantomHarms: Rule = {
  code: 'sound.phantom-harms',
  area: 'sound',
  looksFor: 'A ribbon microphone on an input with phantom power on.',
  why: 'Phantom power does nothing for a passive ribbon, and through a faulty or unbalanced cable it can tear it.',
  remedy: 'Switch phantom power off at that input before plugging the microphone.',
  source: 'handbook 2-sound, phantom',
  find: (measured) =>
    phantomOutputs(measured, 'harmed').flatMap((node) => {
      const phantom = phantomAt(measured, node);
      if (phantom.state !== 'on') return [];
      return [
        {
          code: 'sound.phantom-harms',
          area: 'sound',
          level: 'stop',
          about: at({ deviceId: node.device.id, portId: node.id, linkId: node.links[0]?.id }),
          title: 'Phantom power on a ribbon',
          says:
            `Phantom power is on at ${nameOf(measured, phantom.supply)} and can damage ` +
            `${measured.device(node.device).name}. ` +
            (sharers(measured, phantom.supply, phantom.control).length > 0
              ? `${sharers(measured, phantom.supply, phantom.control).join(' and ')} needs it from the same switch: ` +
                'the two cannot share it. Move one of them, or let a booster that passes none on stand between.'
              : 'Switch it off before you plug the microphone.'),
        },
      ];
    }),
  fixes: (measured, finding) => {
    const node = phantomOutputs(measured, 'harmed').find(
      (candidate) => candidate.device.id === finding.about.deviceId,
    );
    const phantom = node && phantomAt(measured, node);
    if (!node || phantom?.state !== 'on') return [];
    return [
      {
        label: `Switch phantom power off at ${nameOf(measured, phantom.supply)}`,
        command: switchOff(phantom.supply.device.id, phantom.control),
      },
      // Where nobody else needs it, the switch is the whole remedy.
      ...(sharers(measured, phantom.supply, phantom.control).length > 0
        ? [...toAnother(node, phantom, measured), ...behindBooster(node, measured)]
        : []),
    ];
  },
};

/** Other microphones that need phantom power from the same switch, by name. */
const sharers = (measured: Measured, supply: PortNode, control: string): string[] =>
  phantomOutputs(measured, 'needs').flatMap((node) => {
    const phantom = phantomAt(measured, node);
    return (phantom.state === 'on' || phantom.state === 'off') &&
      phantom.supply.device === supply.device &&
      phantom.control === control
      ? [measured.device(node.device).name]
      : [];
  });

/** A free input of the same device whose phantom power is another switch. */
const toAnother = (
  node: PortNode,
  phantom: Extract<Phantom, { state: 'on' }>,
  measured: Measured,
): Fix[] => {
  const [edge] = node.links;
  const free = phantom.supply.device.ports
    .values()
    .find(
      ({ port, links }) =>
        port.family === 'analogue' &&
        port.direction === 'in' &&
        port.nominal === 'microphone' &&
        links.length === 0 &&
        port.phantomSupply?.control !== phantom.control,
    );
  const cableId = edge && free && firstCable(edge.from, free);
  return edge && free && cableId
    ? [batchFix(`Use ${nameOf(measured, free)}`, replug(edge, free, cableId))]
    : [];
};

/** A booster takes the phantom power for itself and passes none on. */
const behindBooster = (node: PortNode, measured: Measured): Fix[] => {
  const [edge] = node.links;
  if (!edge) return [];
  const { commands } = splice(measured.rig, edge, 'booster-inline', { in: 'in', out: 'out' });
  const label = `Put a booster after ${measured.device(node.device).name}, which passes no phantom power on`;
  const level = converterLevels(measured).find(({ stage }) => sourceOf(stage).at === node);
  return [level ? withGain(measured, level.stage, commands, label) : batchFix(label, commands)];
};
