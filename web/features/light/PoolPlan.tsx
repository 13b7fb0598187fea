'use client';

import { Box, Text } from '@chakra-ui/react';
import { type Analysis, inOrder, lampSources, stepped, nameOfThing } from '@echo-loom/core';
import { memo, useId, useMemo } from 'react';
import { fitted, type Plane, pointsText, xOf, yOf } from '@/features/plan/plane';
import { Scale } from '@/features/plan/Scale';
import { POOL_CSS } from './pool-css';
import { Walls } from '@/features/plan/Walls';
import { useStudio } from '@/features/rig/Studio';
import { placeNames } from '@/features/room/marks';
import { gridOf, isoLux, luxOver } from './pools';
import { luxText, roomAt, type Shares, shareOf } from './shares';

const WIDTH_PX = 680;
const HEIGHT_PX = 430;
const PERSON_PX = 7;

interface Props {
  readonly analysis: Analysis;
  readonly shares: Shares;
  readonly chosen: string | null;
  readonly onChoose: (deviceId: string) => void;
}

/** The room's own drawing, which no dimmer changes. */
const Room = memo(function Room({ analysis, plane }: { analysis: Analysis; plane: Plane }) {
  const { lengths } = useStudio();
  return (
    <>
      <Walls analysis={analysis} plane={plane} units={lengths} />
      <Scale plane={plane} units={lengths} />
    </>
  );
});

/** Pools of light over the plan: lines of equal lux at the height of seated eyes. */
export const PoolPlan = ({ analysis, shares, chosen, onChoose }: Props) => {
  const { shell, people, backdrops } = analysis.rig;
  const clip = useId();
  const corners = useMemo(() => shell?.corners ?? [], [shell]);
  const plane = useMemo(() => fitted(shell?.corners ?? [], WIDTH_PX, HEIGHT_PX, 34), [shell]);
  const grid = useMemo(() => gridOf(analysis), [analysis]);
  const lines = useMemo(
    () =>
      grid ? isoLux(grid, luxOver(grid, shares, roomAt(analysis, shares)), plane, corners) : [],
    [analysis, grid, shares, plane, corners],
  );
  const lamps = lampSources(analysis);
  const faces = inOrder(people).flatMap(([id, { at, name, where }]) =>
    at && where === 'on site' ? [{ id, at, name }] : [],
  );
  const names = useMemo(
    () =>
      placeNames(
        [
          ...faces.map(({ at, name }) => ({ at, name })),
          ...lamps.map((lamp) => ({ at: lamp.at, name: nameOfThing(analysis, lamp) })),
        ].map(({ at, name }) => ({
          name,
          x: xOf(plane, at),
          y: yOf(plane, at),
          nose: null,
          radiusPx: PERSON_PX,
        })),
        { left: 0, right: WIDTH_PX, top: 0, bottom: HEIGHT_PX },
        true,
      ),
    [analysis, faces, lamps, plane],
  );
  if (!shell)
    return (
      <Text fontSize="sm">
        The room is not drawn yet. Draw it under Plan, put people and lamps into it, and the light
        is reckoned from there.
      </Text>
    );
  const all = [
    ...faces.map(({ name }) => name),
    ...lamps.map((lamp) => nameOfThing(analysis, lamp)),
  ];
  return (
    <Box asChild width="100%" borderWidth="1px" borderColor="rule" bg="paper.card" css={POOL_CSS}>
      <svg
        viewBox={`0 0 ${WIDTH_PX} ${HEIGHT_PX}`}
        role="group"
        aria-label="The plan with lines of equal light. Lamps can be chosen."
      >
        <clipPath id={clip}>
          <polygon points={pointsText(plane, shell.corners)} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          {lines.map(({ lux, path }) => (
            <path key={lux} className="pool" d={path} />
          ))}
          {lines.map(({ lux, label }) =>
            label ? (
              <text key={lux} className="lux" x={label.x} y={label.y} textAnchor="middle">
                {luxText(lux)}
              </text>
            ) : null,
          )}
        </g>
        <Room analysis={analysis} plane={plane} />
        {inOrder(backdrops).map(([id, { at, is, widthM, heightM, name }]) => {
          const edge = (side: number, forward: number) =>
            stepped(stepped(at, at.facingDeg + 90, side * widthM), at.facingDeg, forward * heightM);
          const [a, b] = [edge(-0.5, 0), edge(0.5, 0)];
          return is === 'area' ? (
            <polygon
              key={id}
              className="area"
              points={pointsText(plane, [
                edge(-0.5, -0.5),
                edge(0.5, -0.5),
                edge(0.5, 0.5),
                edge(-0.5, 0.5),
              ])}
            >
              <title>{name}</title>
            </polygon>
          ) : (
            <line
              key={id}
              className="backdrop"
              x1={xOf(plane, a)}
              y1={yOf(plane, a)}
              x2={xOf(plane, b)}
              y2={yOf(plane, b)}
            >
              <title>{name}</title>
            </line>
          );
        })}
        {faces.map(({ id, at }) => {
          const nose = stepped(at, at.facingDeg, (PERSON_PX + 6) / plane.pxPerM);
          const [x, y] = [xOf(plane, at), yOf(plane, at)];
          return (
            <g key={id}>
              <line className="nose" x1={x} y1={y} x2={xOf(plane, nose)} y2={yOf(plane, nose)} />
              <circle className="person" cx={x} cy={y} r={PERSON_PX} />
            </g>
          );
        })}
        {lamps.map((lamp) => {
          const [x, y] = [xOf(plane, lamp.at), yOf(plane, lamp.at)];
          const turned = Math.atan2(lamp.axis[0], lamp.axis[1]);
          const level = Math.hypot(lamp.axis[0], lamp.axis[1]);
          const share = shareOf(lamp, shares);
          return (
            <g
              key={lamp.id}
              className={chosen === lamp.id ? 'thing chosen' : 'thing'}
              role="button"
              tabIndex={0}
              aria-pressed={chosen === lamp.id}
              aria-label={`${nameOfThing(analysis, lamp)}, ${Math.round(100 * share)} %`}
              onClick={() => onChoose(lamp.id)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onChoose(lamp.id);
              }}
            >
              <circle className="grasp" cx={x} cy={y} r="13" />
              <line
                className="ray"
                x1={x}
                y1={y}
                x2={x + (6 + 12 * level) * Math.sin(turned)}
                y2={y - (6 + 12 * level) * Math.cos(turned)}
              />
              <rect
                className={share > 0 ? 'lamp lit' : 'lamp'}
                x={x - 5}
                y={y - 5}
                width="10"
                height="10"
              />
            </g>
          );
        })}
        {names.map((place, index) =>
          place ? (
            <text key={index} x={place.x} y={place.y} textAnchor={place.textAnchor}>
              {all[index]}
            </text>
          ) : null,
        )}
      </svg>
    </Box>
  );
};
