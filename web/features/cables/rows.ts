import {
  type Analysis,
  cableNumbers,
  cablePlans,
  CABLES,
  type Dressing,
  entry,
  patchOrder,
  type Planned,
  portAt,
  type Rig,
  soldM,
} from '@echo-loom/core';

/** One cable as the tables and the labels show it. */
export interface CableRow {
  readonly linkId: string;
  readonly number: number;
  readonly from: string;
  readonly to: string;
  readonly kind: string;
  readonly link: Rig['links'][string];
  /** How far it is and what that comes to; why it cannot be told otherwise */
  readonly asks: string;
  /** What its way is made of, for who wants to know */
  readonly way: string;
  readonly soldM: number | null;
  readonly isShort: boolean;
  readonly dressing: Dressing;
}

const metres = (lengthM: number): string => `${lengthM.toFixed(2)} m`;

const legsText = ({ route }: Planned): string =>
  route.legs
    .map(({ segment, what, lengthM }) => `${segment?.name ?? what} ${metres(lengthM)}`)
    .join(', ');

const endText = (rig: Rig, end: Rig['links'][string]['from']): string =>
  `${entry(rig.devices, end.deviceId)?.name ?? ''}, ${portAt(rig, end)?.name ?? end.portId}`;

/** Every cable in the order of the patch sheet, with what the plan asks of it. */
export const cableRows = (analysis: Analysis): CableRow[] => {
  const { rig } = analysis;
  const plans = new Map(cablePlans(analysis).map((plan) => [plan.linkId, plan]));
  const numbers = cableNumbers(rig);
  return patchOrder(rig).flatMap(([linkId, link]): CableRow[] => {
    const number = numbers.get(linkId);
    if (number === undefined) return [];
    const plan = plans.get(linkId);
    const known = plan?.is === 'planned' ? plan : null;
    return [
      {
        linkId,
        number,
        from: endText(rig, link.from),
        to: endText(rig, link.to),
        kind: CABLES[link.cable.kind].name,
        link,
        asks: known
          ? metres(known.needM)
          : plan?.is === 'nowhere'
            ? 'not on the plan'
            : plan
              ? 'no way leads there'
              : '—',
        way: known
          ? `${metres(known.route.lengthM)} of way, ${metres(known.slackM)} of slack` +
            (known.travelM > 0 ? `, ${metres(known.travelM)} that the desk travels` : '') +
            `: ${legsText(known)}`
          : '',
        soldM: known ? soldM(known) : null,
        isShort: known !== null && link.cable.lengthM < known.needM - 1e-9,
        dressing: link.lay?.dressing ?? rig.laying.dressing,
      },
    ];
  });
};
