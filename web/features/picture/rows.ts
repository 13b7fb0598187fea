import {
  choiceSetting,
  entry,
  formatName,
  framings,
  inOrder,
  isIdle,
  type Analysis,
  type Framing,
  type Model,
} from '@echo-loom/core';

/** A source of pictures, and the shot it is planned for. */
export interface SourceRow {
  readonly deviceId: string;
  readonly name: string;
  /** Whom or what it shows */
  readonly shows: string;
  readonly formatControl: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly format: string;
  /** What it really sends; null where nothing is plugged in */
  readonly sends: string | null;
  readonly framing: Framing | null;
  readonly hasOptics: boolean;
  /** Whether its kind is one that frames a subject */
  readonly isCamera: boolean;
  /** Another output, or the card, of what stands in the row before: its shot is told there */
  readonly isFurther: boolean;
}

const CAMERAS: ReadonlySet<Model['kind']> = new Set(['camera', 'webcam', 'phone']);

/** Every source of pictures, in the order of the rig; a machine with several outputs has a row for each. */
export const sourceRows = (analysis: Analysis): SourceRow[] => {
  const { rig } = analysis;
  const planned = new Map(framings(analysis).map((framing) => [framing.shot.deviceId, framing]));
  return inOrder(rig.devices).flatMap(([deviceId, device]) => {
    const controls = new Map<string, string>();
    for (const [portId, port] of Object.entries(device.model.ports)) {
      const { emits } = port;
      // A card that does not record is no source of anything.
      if (emits?.picture && !isIdle(device, port) && !controls.has(emits.picture.formatControl))
        controls.set(emits.picture.formatControl, portId);
    }
    return [...controls].flatMap(([formatControl, portId], index): SourceRow[] => {
      const control = entry(device.model.controls, formatControl);
      if (control?.type !== 'choice') return [];
      const format = choiceSetting(device, formatControl) ?? '';
      const inUse = analysis.traced.stages.find(
        ({ via, signal, at }) =>
          via.by === 'source' &&
          signal === 'picture' &&
          at.device.id === deviceId &&
          at.port.emits?.picture?.formatControl === formatControl &&
          (at.links.length > 0 || at.port.records !== undefined),
      );
      const sent = inUse && analysis.picture[inUse.index]?.format;
      const framing = planned.get(deviceId) ?? null;
      const personId = framing?.shot.personId ?? device.personId;
      const sightId = framing?.shot.sightId ?? device.sightId;
      const shows =
        (personId === null ? undefined : entry(rig.people, personId)?.name) ??
        (sightId === null ? undefined : entry(rig.brief?.sights ?? {}, sightId)?.name) ??
        '';
      return [
        {
          deviceId,
          name:
            controls.size > 1
              ? `${device.name}, ${device.model.ports[portId]?.name ?? portId}`
              : device.name,
          shows,
          formatControl,
          options: control.options,
          format,
          sends: sent ? formatName(sent) : inUse ? 'nothing' : null,
          framing,
          hasOptics: device.model.camera !== undefined,
          isCamera: CAMERAS.has(device.model.kind),
          isFurther: index > 0,
        },
      ];
    });
  });
};
