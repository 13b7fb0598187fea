import type { Fix } from '../../edits/fix';
import { disconnect, firstCable } from '../../edits/splice';
import type { LinkEdge, PortNode } from '../../graph';
import { sourceOf } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { phantomAt } from '../../passes/sound';
import { isConversion } from '../../passes/sound/gains';
import { apply, type SimpleCommand } from '../../rig';
import { at } from '../about';
import type { Rule } from '../rule';
import { withGain } from './level';
import { phantomOutputs, switchOn } from './phantom';

/** Takes the blocking device out, joins what it stood between, and switches phantom power on at the input. */
const bypass = (measured: Measured, node: PortNode, blocker: PortNode): Fix | null => {
  const into = blocker.links[0];
  const out = blocker.routes
    .flatMap(({ route }) => route.to)
    .flatMap((to): readonly LinkEdge[] => blocker.device.ports.get(to)?.links ?? [])[0];
  if (!into || !out || out.to.port.family !== 'analogue') return null;
  const cableId = firstCable(into.from, out.to);
  if (!cableId) return null;
  const supply = out.to.port.phantomSupply;
  const commands: SimpleCommand[] = [
    disconnect(into),
    { type: 'removeDevice', deviceId: blocker.device.id },
    {
      type: 'connect',
      linkId: into.id,
      from: into.link.from,
      to: out.link.to,
      cable: { kind: cableId, lengthM: Math.max(into.link.cable.lengthM, out.link.cable.lengthM) },
    },
    ...(supply ? [switchOn(out.to.device.id, supply.control)] : []),
  ];
  const label = `Remove ${measured.device(blocker.device).name}${supply ? ' and switch phantom power on' : ''}`;
  const after = measure(apply(measured.rig, { type: 'batch', label, commands }), measured);
  const conversion = after.traced.stages.find(
    (stage) =>
      stage.signal === 'sound' &&
      isConversion(stage) &&
      sourceOf(stage).at.device.id === node.device.id,
  );
  return conversion
    ? withGain(measured, conversion, commands, label)
    : { label, command: { type: 'batch', label, commands } };
};

/** Plugs into the leg of a splitter that lets phantom power through, where that one is free. */
const otherLeg = (measured: Measured, blocker: PortNode): Fix[] => {
  const outs = (passes: boolean): PortNode[] =>
    blocker.routes
      .filter(({ route }) => (route.sound?.passesPhantom ?? false) === passes)
      .flatMap(({ route }) => route.to.flatMap((to) => blocker.device.ports.get(to) ?? []));
  const leg = outs(true).find(({ links }) => links.length === 0);
  const plugged = outs(false).flatMap(({ links }) => links)[0];
  if (!leg || !plugged || plugged.to.port.family !== 'analogue') return [];
  const supply = plugged.to.port.phantomSupply;
  const label =
    `Plug into ${leg.port.name} of ${measured.device(blocker.device).name}` +
    (supply ? ' and switch phantom power on' : '');
  const commands: SimpleCommand[] = [
    disconnect(plugged),
    {
      type: 'connect',
      linkId: plugged.id,
      from: { deviceId: leg.device.id, portId: leg.id },
      to: plugged.link.to,
      cable: plugged.link.cable,
    },
    ...(supply ? [switchOn(plugged.to.device.id, supply.control)] : []),
  ];
  return [{ label, command: { type: 'batch', label, commands } }];
};

export const phantomBlocked: Rule = {
  code: 'sound.phantom-blocked',
  area: 'sound',
  looksFor:
    'A condenser behind a booster, transformer or other device that passes no phantom power on.',
  why: 'A booster uses up the phantom power itself; the microphone behind it gets none and is dead.',
  remedy:
    'Take the booster out and switch phantom power on at the preamp: a condenser does not need lifting.',
  source: 'IEC 61938; handbook 2-sound, phantom',
  find: (measured) =>
    phantomOutputs(measured, 'needs').flatMap((node) => {
      const phantom = phantomAt(measured, node);
      if (phantom.state !== 'blocked') return [];
      return [
        {
          code: 'sound.phantom-blocked',
          area: 'sound',
          level: 'stop',
          about: at({ deviceId: node.device.id, portId: node.id, linkId: node.links[0]?.id }),
          title: 'Phantom power is blocked',
          says:
            `${measured.device(node.device).name} gives no sound: ${measured.device(phantom.by.device).name} lets no ` +
            `phantom power through to it. Take ${measured.device(phantom.by.device).name} out and switch ` +
            'phantom power on at the input.',
        },
      ];
    }),
  fixes: (measured, finding) => {
    const node = phantomOutputs(measured, 'needs').find(
      (candidate) =>
        candidate.device.id === finding.about.deviceId && candidate.id === finding.about.portId,
    );
    const phantom = node && phantomAt(measured, node);
    if (!node || phantom?.state !== 'blocked') return [];
    const fix = bypass(measured, node, phantom.by);
    return [...otherLeg(measured, phantom.by), ...(fix ? [fix] : [])];
  },
};
