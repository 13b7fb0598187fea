import type { PortNode } from '../graph';
import type { Model, SimpleCommand } from '../rig';

/** Another model in a device's place, to be bought. */
export const bought = (deviceId: string, model: Model): SimpleCommand[] => [
  { type: 'replaceModel', deviceId, model },
  { type: 'setOwnership', deviceId, ownership: 'to buy', price: null },
];

/** Phantom power at the input a microphone hangs on, on or off as it needs. */
export const phantomFor = (output: PortNode, needs: boolean): SimpleCommand[] => {
  const { port, device } = output.links[0]?.to ?? output;
  return port.family === 'analogue' && port.phantomSupply
    ? [
        {
          type: 'setControl',
          deviceId: device.id,
          control: port.phantomSupply.control,
          value: needs,
        },
      ]
    : [];
};

const needsPhantom = (model: Model): boolean =>
  Object.values(model.ports).some(
    (port) => port.family === 'analogue' && (port.phantomNeedMa ?? 0) > 0,
  );

/** Another microphone in the place of one, with the power it needs. @param output of the one that is there */
export const microphoneInstead = (output: PortNode, model: Model): SimpleCommand[] => [
  ...bought(output.device.id, model),
  ...phantomFor(output, needsPhantom(model)),
];
