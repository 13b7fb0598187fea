import { cable, CABLES, type CableId } from '../rig/links/cables';
import { classById } from '../catalogue';
import type { LinkEdge, PortNode, Stage } from '../graph';
import { stagesOf } from '../graph';
import type { Measured } from '../measure';
import { perAnalysis } from '../per-analysis';
import { freeId, mate, type Rig, type SimpleCommand } from '../rig';
import { gainOf, type GainSetting } from '../sound';

/** Questions rules ask of a measured rig, and edits that several fixes share. */

export const nameOf = (node: PortNode): string => `${node.device.device.name}, ${node.port.name}`;

/** The stage a finding points at, in the analysis it came from. */
export const stageOf = ({ traced }: Measured, index: number | undefined): Stage | undefined =>
  index === undefined ? undefined : traced.stages[index];

/** Every place where an analogue signal becomes digital, once for each source that comes by. */
export const conversions = perAnalysis(({ traced }): readonly Stage[] => {
  const found: Stage[] = [];
  // A converter that feeds several outputs is one place: the ways in, each with the port it was entered by.
  const seen = new Map<Stage['via'], number[]>();
  for (const stage of traced.stages) {
    // A source's stages stand together, the source first.
    if (stage.via.by === 'source') seen.clear();
    if (stage.signal !== 'sound' || !stage.parent || !isConversion(stage)) continue;
    const entered = seen.get(stage.via);
    if (entered?.includes(stage.parent.at.index)) continue;
    found.push(stage);
    if (entered) entered.push(stage.parent.at.index);
    else seen.set(stage.via, [stage.parent.at.index]);
  }
  return found;
});

export const sourceOf = (stage: Stage): Stage => {
  let at = stage;
  while (at.parent) at = at.parent;
  return at;
};

/** Whether a stage is where an analogue signal becomes digital. */
export const isConversion = (stage: Stage): boolean =>
  stage.via.by === 'route' &&
  stage.via.route.route.sound?.toDigital !== undefined &&
  stage.parent?.at.port.family === 'analogue';

/** A gain a thread passes that someone can turn. */
export interface AdjustableGain {
  readonly stage: Stage;
  readonly gain: GainSetting;
  readonly control: string;
}

/** The gains on the way to a stage that can be turned, the nearest to the stage first. */
export const adjustableGains = (stage: Stage): AdjustableGain[] =>
  stagesOf(stage)
    .reverse()
    .flatMap((at) => {
      if (at.via.by !== 'route' || !at.via.route.route.sound) return [];
      const gain = gainOf(at.at.device.device, at.via.route.route.sound);
      return gain.control === null ? [] : [{ stage: at, gain, control: gain.control }];
    });

/** The gain nearest to a stage that can be turned. */
export const nearestGain = (stage: Stage): AdjustableGain | undefined => adjustableGains(stage)[0];

/** A gain on the control's own steps, nearest to what is wanted and inside its range. @unit dB */
export const steppedGain = (wantedDb: number, gain: GainSetting): number => {
  const steps = Math.round((wantedDb - gain.minDb) / gain.stepDb);
  const stepped = gain.minDb + steps * gain.stepDb;
  return Math.min(gain.maxDb, Math.max(gain.minDb, Number(stepped.toFixed(4))));
};

export const disconnect = (edge: LinkEdge): SimpleCommand => ({
  type: 'disconnect',
  linkId: edge.id,
});

const NEW_CABLE_M = 1;

/** The cable class offered first for two ports, if any fits. */
export const firstCable = (from: PortNode, to: PortNode): CableId | undefined => {
  const mating = mate(from.port, to.port);
  return mating.can ? mating.cables[0] : undefined;
};

/**
 * Puts a new device of a class into a link: out goes the cable, in go the device and two cables.
 * @returns the commands and the new device's id
 */
export const splice = (
  rig: Rig,
  edge: LinkEdge,
  classId: string,
  ports: { in: string; out: string },
): { deviceId: string; commands: SimpleCommand[] } => {
  const model = classById(classId);
  const deviceId = freeId(`${edge.from.device.id}-${model.kind}`, rig.devices);
  const intoId = freeId(`${deviceId}-in`, rig.links);
  const outId = freeId(`${deviceId}-out`, rig.links);
  const device = edge.from.device.device;
  const cableId = edge.link.cable;
  return {
    deviceId,
    commands: [
      disconnect(edge),
      {
        type: 'addDevice',
        deviceId,
        name: `${device.name} ${model.kind}`.slice(0, 80),
        model,
        settings: {},
        personId: device.personId,
        placeId: device.placeId,
      },
      {
        type: 'connect',
        linkId: intoId,
        from: edge.link.from,
        to: { deviceId, portId: ports.in },
        cable: { kind: cableId.kind, lengthM: NEW_CABLE_M },
      },
      {
        type: 'connect',
        linkId: outId,
        from: { deviceId, portId: ports.out },
        to: edge.link.to,
        cable: cableId,
      },
    ],
  };
};

/** Moves the far end of a link to another port, with a cable that fits. */
export const replug = (
  edge: LinkEdge,
  to: PortNode,
  cableId: CableId = edge.link.cable.kind,
): SimpleCommand[] => [
  disconnect(edge),
  {
    type: 'connect',
    linkId: edge.id,
    from: edge.link.from,
    to: { deviceId: to.device.id, portId: to.id },
    cable: { kind: cableId, lengthM: edge.link.cable.lengthM },
  },
];

export const cableName = (edge: LinkEdge): string => CABLES[edge.link.cable.kind].name;
/** Cable classes that would fit a link, other than the one it has. */
export const otherCables = (edge: LinkEdge): CableId[] => {
  const mating = mate(edge.from.port, edge.to.port);
  return mating.can ? mating.cables.filter((id) => id !== edge.link.cable.kind) : [];
};
export { cable };
