import { entry, framings, type Analysis, type Box as SceneBox, type Layer } from '@echo-loom/core';
import { drawnOf, FrameContent, type Drawn } from './FrameContent';

/** Where a box stands in a frame of 160 × 90. */
const PLACES: Readonly<
  Record<
    SceneBox,
    { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
  >
> = {
  full: { x: 0, y: 0, width: 160, height: 90 },
  'left half': { x: 2, y: 0, width: 77, height: 90 },
  'right half': { x: 81, y: 0, width: 77, height: 90 },
  inset: { x: 104, y: 52, width: 51, height: 32 },
  over: { x: 8, y: 66, width: 144, height: 16 },
};
/** From one inset to the next. */
const INSET_STEP = 36;

const UNKNOWN: Drawn = { what: 'person', widthM: 1.6, heightM: 0.9, spacingM: 0.8, isSeated: true };

/** What a source's picture shows, for a drawing. */
export const drawnBySource = (analysis: Analysis): ReadonlyMap<string, Drawn> => {
  const { rig } = analysis;
  const drawn = new Map<string, Drawn>();
  for (const [id, device] of Object.entries(rig.devices)) {
    const sight =
      device.sightId === null ? undefined : entry(rig.brief?.sights ?? {}, device.sightId);
    if (device.model.kind === 'call') drawn.set(id, { ...UNKNOWN, what: 'far person' });
    else if (device.model.kind === 'player') drawn.set(id, { ...UNKNOWN, what: 'screen' });
    else
      drawn.set(
        id,
        sight?.what === 'people together'
          ? { ...UNKNOWN, what: 'place', widthM: 8, heightM: 4.5 }
          : UNKNOWN,
      );
  }
  for (const framing of framings(analysis)) {
    const { shot } = framing;
    const person = shot.personId === null ? undefined : entry(rig.people, shot.personId);
    const sight = shot.sightId === null ? undefined : entry(rig.brief?.sights ?? {}, shot.sightId);
    drawn.set(shot.deviceId, drawnOf(framing, person?.posture ?? 'stands', sight?.what ?? null));
  }
  return drawn;
};

interface Props {
  readonly layers: readonly Layer[];
  readonly drawn: ReadonlyMap<string, Drawn>;
}

/** A scene as a small picture, its layers from the back to the front, each with what its source frames. */
export const SceneDrawing = ({ layers, drawn }: Props) => {
  let insets = 0;
  return (
    <svg
      viewBox="0 0 160 90"
      aria-hidden
      style={{ display: 'block', width: '100%', background: 'var(--chakra-colors-paper-deep)' }}
    >
      {layers.map((layer, index) => {
        const place = PLACES[layer.box];
        const y = layer.box === 'inset' ? place.y - INSET_STEP * insets++ : place.y;
        if (layer.box === 'over')
          return (
            <rect
              key={index}
              x={place.x}
              y={y}
              width={place.width}
              height={place.height}
              fill="var(--chakra-colors-madder)"
              opacity={0.75}
            />
          );
        const frame = drawn.get(layer.deviceId) ?? UNKNOWN;
        return (
          <svg
            key={index}
            x={place.x}
            y={y}
            width={place.width}
            height={place.height}
            viewBox={`0 0 ${frame.widthM} ${frame.heightM}`}
            preserveAspectRatio="xMidYMid slice"
          >
            <rect
              width={frame.widthM}
              height={frame.heightM}
              fill="var(--chakra-colors-paper-card)"
              stroke="var(--chakra-colors-ink-soft)"
              strokeWidth={frame.heightM / 60}
            />
            <FrameContent drawn={frame} />
          </svg>
        );
      })}
    </svg>
  );
};
