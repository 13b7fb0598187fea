import {
  type Analysis,
  CABLES,
  type Join,
  portAt,
  putInto,
  type Spliced,
  takeOut,
} from '@echo-loom/core';
import type { Held, Target, usePointing } from './pointing';

/** What a drop would do, or why it cannot be done. */
export interface Said {
  readonly can: boolean;
  readonly text: string;
}

/** A way to join two devices in words: both ends and the cable. */
export const wayText = ({ rig }: Analysis, { from, to }: Join): string => {
  const end = ({ deviceId, portId }: Join['from']) =>
    `${rig.devices[deviceId]?.name ?? ''}, ${portAt(rig, { deviceId, portId })?.name ?? ''}`;
  return `${end(from)} → ${end(to)}`;
};

export const cableText = ({ kind, lengthM }: Join['cable']): string =>
  kind === 'inside' ? 'inside the computer' : `${lengthM} m of ${CABLES[kind].name}`;

const splicedText = (spliced: Spliced): Said =>
  spliced.can ? { can: true, text: spliced.label } : { can: false, text: `Cannot: ${spliced.why}` };

/** What happens if what is held is dropped there. */
export const saidOf = (
  analysis: Analysis,
  held: Held,
  joinings: ReturnType<typeof usePointing.getState>['joinings'],
  target: Target,
): Said => {
  const name = analysis.rig.devices[held.deviceId]?.name ?? '';
  switch (target.at) {
    case 'device': {
      const joining = joinings?.get(target.deviceId);
      if (!joining) return { can: false, text: name };
      if (!joining.can) return { can: false, text: `Cannot: ${joining.why}` };
      const [first, ...more] = joining.ways;
      const other = more.length > 0 ? ', or another way' : '';
      return {
        can: true,
        text: `${wayText(analysis, first)}, ${cableText(first.cable)}${other}`,
      };
    }
    case 'cable': {
      const edge = analysis.graph.links.get(target.linkId);
      if (!edge) return { can: false, text: name };
      return splicedText(putInto(analysis, held.deviceId, edge));
    }
    case 'out':
      return splicedText(takeOut(analysis, held.deviceId));
    case 'ground':
      return { can: true, text: `Add something here, connected to ${name}` };
  }
};
