import {
  type Analysis,
  cableNumbers,
  CABLES,
  cableWaysOf,
  inOrder,
  mainsRuns,
  type Planned,
  plannedCables,
  nameOfThing,
} from '@echo-loom/core';
import { memo } from 'react';
import { type Plane, pointsText, xOf, yOf } from './plane';

interface Props {
  readonly analysis: Analysis;
  readonly plane: Plane;
}

const KINDS: Readonly<Record<string, string>> = {
  picture: 'cable-picture',
  analogue: 'cable-sound',
  'digital sound': 'cable-sound',
};

type Legs = Planned['route']['legs'];

const pathOf = (plane: Plane, legs: Legs): string =>
  legs
    .map(({ from, to }, index) => {
      const at = (point: (typeof legs)[number]['from']) =>
        `${xOf(plane, point).toFixed(1)},${yOf(plane, point).toFixed(1)}`;
      return `${index === 0 ? `M${at(from)}` : ''}L${at(to)}`;
    })
    .join('');

/** Where the numbers of cables stand: in the middle of the longest part of each, those that lie together as one. */
const numbersOf = (
  plane: Plane,
  cables: readonly Planned[],
  numbers: ReadonlyMap<string, number>,
): readonly {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly text: string;
}[] => {
  const found = new Map<string, { x: number; y: number; numbers: number[] }>();
  for (const { linkId, route } of cables) {
    const longest = [...route.legs].sort((a, b) => b.lengthM - a.lengthM)[0];
    const number = numbers.get(linkId);
    if (!longest || number === undefined) continue;
    const x = (xOf(plane, longest.from) + xOf(plane, longest.to)) / 2;
    const y = (yOf(plane, longest.from) + yOf(plane, longest.to)) / 2;
    const key = `${Math.round(x / 14)} ${Math.round(y / 12)}`;
    const known = found.get(key);
    if (known) known.numbers.push(number);
    else found.set(key, { x, y, numbers: [number] });
  }
  return [...found].map(([key, { x, y, numbers: list }]) => ({
    key,
    x,
    y,
    text: list.sort((a, b) => a - b).join(', '),
  }));
};

/** Ways for cables, the cables and mains leads in them, and where they lie bare on what people walk on. */
export const CableWays = memo(({ analysis, plane }: Props) => {
  const cables = plannedCables(analysis);
  return (
    <g data-layer="cables">
      {cableWaysOf(analysis).map(({ key, points }) => (
        <polyline key={key} className="cable-way" points={pointsText(plane, points)} />
      ))}
      {mainsRuns(analysis).map(({ of, id, feedId, route }, index) => (
        <path
          key={`${feedId} ${index}`}
          className="cable cable-mains"
          d={pathOf(plane, route.legs)}
        >
          <title>{`Mains lead of ${nameOfThing(analysis, { of, id })}`}</title>
        </path>
      ))}
      {cables.map(({ linkId, cable, route }) => (
        <path
          key={linkId}
          className={`cable ${KINDS[CABLES[cable.kind].family] ?? ''}`}
          d={pathOf(plane, route.legs)}
        />
      ))}
      {cables.flatMap(({ linkId, route }) =>
        route.legs.flatMap((leg, index) =>
          leg.trips.length > 0
            ? [
                <path
                  key={`${linkId} ${index}`}
                  className="cable cable-trip"
                  d={pathOf(plane, [leg])}
                >
                  <title>{`Bare across ${leg.trips.map(({ name }) => name).join(', ')}`}</title>
                </path>,
              ]
            : [],
        ),
      )}
      {numbersOf(plane, cables, cableNumbers(analysis.rig)).map(({ key, x, y, text }) => (
        <text key={key} className="cable-number" x={x + 3} y={y - 4}>
          {text}
        </text>
      ))}
      {inOrder(analysis.rig.feeds).map(
        ([id, { name, at }]) =>
          at && (
            <g key={id}>
              <rect
                className="device"
                x={xOf(plane, at) - 4}
                y={yOf(plane, at) - 4}
                width={8}
                height={8}
              />
              <title>{name}</title>
            </g>
          ),
      )}
    </g>
  );
});
CableWays.displayName = 'CableWays';
