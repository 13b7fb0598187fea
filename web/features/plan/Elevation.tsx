import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  eyesAtM,
  groundOf,
  inOrder,
  reachingSolids,
  solids,
  stood,
  nameOfThing,
} from '@echo-loom/core';
import { lengthText, type Units } from './plane';

const WIDTH_PX = 760;
const HEIGHT_PX = 220;
const MARGIN_PX = 34;

interface Props {
  readonly analysis: Analysis;
  readonly units: Units;
}

/** The room from its lower side: how high everything reaches, under which ceiling. */
export const Elevation = ({ analysis, units }: Props) => {
  const { shell, people } = analysis.rig;
  const all = solids(analysis);
  // Of a stand its column and its arm show, not the ground its feet take up.
  const supports = all.supports.flatMap((solid) => {
    const support = entry(analysis.rig.supports, solid.id);
    return solid.isRound && support ? reachingSolids(solid.id, support) : [solid];
  });
  const every = [...supports, ...all.devices, ...all.people];
  if (every.length === 0) return null;
  const xs = [
    ...(shell?.corners ?? []).map(({ xM }) => xM),
    ...every.flatMap((solid) => groundOf(solid).map(({ xM }) => xM)),
  ];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const tall = Math.max(shell?.heightM ?? 0, 2.4, ...every.map(({ toM }) => toM));
  const scale = Math.min(
    (WIDTH_PX - 2 * MARGIN_PX) / Math.max(1, right - left),
    (HEIGHT_PX - 2 * MARGIN_PX) / tall,
  );
  const x = (xM: number): number => MARGIN_PX + (xM - left) * scale;
  const y = (zM: number): number => HEIGHT_PX - MARGIN_PX - zM * scale;
  const carried = new Set(stood(analysis).flatMap(({ id, supportId }) => (supportId ? [id] : [])));
  const box = (solid: (typeof every)[number]) => {
    const across = groundOf(solid).map(({ xM }) => xM);
    const [from, to] = [Math.min(...across), Math.max(...across)];
    return {
      x: x(from),
      y: y(solid.toM),
      width: Math.max(2, (to - from) * scale),
      height: Math.max(2, (solid.toM - solid.fromM) * scale),
    };
  };
  return (
    <Box mt="4">
      <Text as="h2" fontWeight="600" mb="1">
        From the side
      </Text>
      <Box
        asChild
        width="100%"
        borderWidth="1px"
        borderColor="rule"
        bg="paper.card"
        css={{
          '& text': { fontSize: '11px', fill: 'var(--chakra-colors-ink-soft)' },
          '& line': { stroke: 'var(--chakra-colors-ink)', strokeWidth: 1.5 },
          '& .eyes': { strokeWidth: 0.8, strokeDasharray: '3 3' },
          '& rect': {
            fill: 'var(--chakra-colors-paper-card)',
            fillOpacity: 0.7,
            stroke: 'var(--chakra-colors-ink)',
            strokeWidth: 1,
          },
          '& .person': { strokeWidth: 2 },
        }}
      >
        <svg
          viewBox={`0 0 ${WIDTH_PX} ${HEIGHT_PX}`}
          role="img"
          aria-label={
            `From the side: ` +
            `${every.map((solid) => `${nameOfThing(analysis, solid)} up to ${solid.toM.toFixed(2)} m`).join(', ')}`
          }
        >
          <line x1={x(left)} x2={x(right)} y1={y(0)} y2={y(0)} />
          {shell && (
            <>
              <line x1={x(left)} x2={x(right)} y1={y(shell.heightM)} y2={y(shell.heightM)} />
              <text x={x(left) + 4} y={y(shell.heightM) - 5}>
                {lengthText(shell.heightM, units)}
              </text>
            </>
          )}
          {[
            ...supports,
            ...all.devices.filter(({ id }) => carried.has(id)),
            ...all.devices.filter(({ id }) => !carried.has(id)),
          ].map((solid, index) => (
            <rect key={index} {...box(solid)}>
              <title>
                {`${nameOfThing(analysis, solid)}: ${lengthText(solid.fromM, units)} to ` +
                  `${lengthText(solid.toM, units)}`}
              </title>
            </rect>
          ))}
          {all.people.map((solid) => (
            <rect key={solid.id} className="person" rx="8" {...box(solid)}>
              <title>{`${nameOfThing(analysis, solid)}: up to ${lengthText(solid.toM, units)}`}</title>
            </rect>
          ))}
          {inOrder(people).map(([id, person]) =>
            person.at && person.where === 'on site' ? (
              <g key={id}>
                <line
                  className="eyes"
                  x1={x(person.at.xM) - 12}
                  x2={x(person.at.xM) + 12}
                  y1={y(eyesAtM(person))}
                  y2={y(eyesAtM(person))}
                />
                <text x={x(person.at.xM)} y={HEIGHT_PX - 16} textAnchor="middle">
                  {person.name}
                </text>
              </g>
            ) : null,
          )}
        </svg>
      </Box>
    </Box>
  );
};
