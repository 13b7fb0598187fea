import { ahead, groundOf, type Rig, entry, type Spot } from '@echo-loom/core';
import { memo } from 'react';
import { lengthText, type Plane, pointsText, type Units, xOf, yOf } from './plane';
import type { Thing } from './thing';

interface Props {
  readonly rig: Rig;
  readonly things: readonly Thing[];
  readonly plane: Plane;
  readonly units: Units;
  readonly selected: string | null;
  readonly names: readonly ({
    readonly x: number;
    readonly y: number;
    readonly textAnchor: 'start' | 'end' | 'middle';
  } | null)[];
}

/** How far a nose stands out of its circle. @unit px */
const NOSE_PX = 7;

/** A head and shoulders from above, never too small to point at. @unit px */
export const personPx = ({ pxPerM }: Plane): number => Math.max(6, 0.18 * pxPerM);

/** What a thing looks like from above: people a circle with a nose, the rest their outline. */
const Outline = ({ thing, plane, rig }: { thing: Thing; plane: Plane; rig: Rig }) => {
  const { at, size, kind, isRound } = thing;
  const [x, y] = [xOf(plane, at), yOf(plane, at)];
  const half = (metres: number): number => Math.max(4, (metres * plane.pxPerM) / 2);
  if (kind === 'person') {
    const nose = ahead(at, 0, (personPx(plane) + NOSE_PX) / plane.pxPerM);
    return (
      <>
        <line className="nose" x1={x} y1={y} x2={xOf(plane, nose)} y2={yOf(plane, nose)} />
        <circle className="person" cx={x} cy={y} r={personPx(plane)} />
      </>
    );
  }
  if (kind === 'noise')
    return (
      <>
        <circle className="noise" cx={x} cy={y} r="5" />
        <circle className="noise" cx={x} cy={y} r="9" />
      </>
    );
  if (kind === 'sight')
    return <path className="sight" d={`M${x - 7} ${y}H${x + 7}M${x} ${y - 7}V${y + 7}`} />;
  if (kind === 'way') return <circle className="way-point" cx={x} cy={y} r="5" />;
  if (kind === 'feed')
    return <rect className="device" x={x - 5} y={y - 5} width="10" height="10" />;
  if (kind === 'corner')
    return <rect className="corner" x={x - 6} y={y - 6} width="12" height="12" />;
  if (!size) return <Arm thing={thing} plane={plane} />;
  if (isRound) return <Stand thing={thing} plane={plane} rig={rig} />;
  const drawn = {
    spot: at,
    widthM: (2 * half(size.widthM)) / plane.pxPerM,
    depthM: (2 * half(size.depthM)) / plane.pxPerM,
  };
  return (
    <polygon
      className={`${kind}${thing.hangs ? ' hangs' : ''}`}
      points={pointsText(plane, groundOf(drawn))}
    />
  );
};

/** An arm's clamp. */
const Arm = ({ thing: { at }, plane }: { thing: Thing; plane: Plane }) => (
  <rect className="clamp" x={xOf(plane, at) - 4} y={yOf(plane, at) - 4} width="8" height="8" />
);

/** A stand: its feet, its column, and the arm it reaches out with. */
const Stand = ({ thing: { at, id }, plane, rig }: { thing: Thing; plane: Plane; rig: Rig }) => {
  const figures = entry(rig.supports, id)?.figures;
  if (figures?.is !== 'stand') return null;
  const [x, y] = [xOf(plane, at), yOf(plane, at)];
  const foot = (index: number): Spot => ({
    ...ahead({ ...at, facingDeg: at.facingDeg + (360 * index) / figures.feet }, 0, figures.legM),
    facingDeg: 0,
  });
  const end = figures.out && ahead(at, 0, figures.out.reachM);
  return (
    <>
      <circle className="grasp" cx={x} cy={y} r={Math.max(9, figures.legM * plane.pxPerM * 0.5)} />
      {figures.feet === 0 ? (
        <circle className="feet" cx={x} cy={y} r={figures.legM * plane.pxPerM} />
      ) : (
        Array.from({ length: figures.feet }, (_, index) => (
          <line
            key={index}
            className="feet"
            x1={x}
            y1={y}
            x2={xOf(plane, foot(index))}
            y2={yOf(plane, foot(index))}
          />
        ))
      )}
      {end && <line className="boom" x1={x} y1={y} x2={xOf(plane, end)} y2={yOf(plane, end)} />}
      <circle className="column" cx={x} cy={y} r="3" />
    </>
  );
};

/** Where a thing is, for who hears the plan. */
const whereIs = ({ name, at, turns }: Thing, units: Units): string =>
  `${name}: across ${lengthText(at.xM, units)}, up ${lengthText(at.yM, units)}` +
  (turns ? `, facing ${Math.round(at.facingDeg)}°` : '');

/** Everything on the plan that can be pointed at. Keys and pointer find it by `data-thing`. */
export const Marks = memo(({ rig, things, plane, units, selected, names }: Props) => (
  <>
    {things.map((thing, index) => {
      const name = names[index];
      return (
        <g
          key={thing.key}
          className={`thing${thing.moves ? ' moves' : ''}${thing.key === selected ? ' chosen' : ''}`}
          data-thing={thing.key}
          data-on={thing.on ?? undefined}
          tabIndex={0}
          role="button"
          aria-pressed={thing.key === selected}
          aria-label={whereIs(thing, units)}
        >
          <Outline thing={thing} plane={plane} rig={rig} />
          {name && <text {...name}>{thing.name}</text>}
        </g>
      );
    })}
  </>
));
Marks.displayName = 'Marks';
