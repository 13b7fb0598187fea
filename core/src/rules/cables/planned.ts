import { explainPlan, type Planned, plannedCables } from '../../passes/cables';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { type Dressing, entry, type Lay } from '../../rig';
import { CABLES } from '../../rig/links/cables';
import type { About } from '../about';

/** What rules of cables have in common. */

type OfLink = Pick<Planned, 'linkId'>;

export const aboutPlan = ({ linkId }: OfLink): About => ({ kind: 'link', linkId });

/** `the HDMI cable from Host camera to Switcher` */
export const cableText = ({ rig }: Measured, { linkId, cable }: Planned): string => {
  const link = entry(rig.links, linkId);
  const name = (deviceId: string | undefined): string =>
    (deviceId === undefined ? undefined : entry(rig.devices, deviceId)?.name) ?? 'a device';
  return `the ${CABLES[cable.kind].name} from ${name(link?.from.deviceId)} to ${name(link?.to.deviceId)}`;
};

/** The same at the start of a sentence. */
export const startText = (measured: Measured, plan: Planned): string =>
  `T${cableText(measured, plan).slice(1)}`;

export const metres = (lengthM: number): string => `${figure(lengthM, 2)} m`;

/** How a cable is laid, where something was said of it alone. */
export const layOf = ({ rig }: Measured, { linkId }: OfLink): Lay | undefined =>
  entry(rig.links, linkId)?.lay;

/** How a cable is held. */
export const dressingOf = (measured: Measured, plan: OfLink): Dressing =>
  layOf(measured, plan)?.dressing ?? measured.rig.laying.dressing;

export const eachPlanned = {
  all: plannedCables,
  about: aboutPlan,
  sums: explainPlan,
};
