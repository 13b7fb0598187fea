import {
  type Analysis,
  groundOfWay,
  inOrder,
  openings,
  type Point,
  stepped,
  wallsOf,
} from '@echo-loom/core';
import { WallLength } from '@/features/room/WallLength';
import { lengthText, type Plane, pointsText, type Units, xOf, yOf } from './plane';

interface Props {
  readonly analysis: Analysis;
  readonly plane: Plane;
  readonly units: Units;
}

const at = (plane: Plane, point: Point) => ({ x: xOf(plane, point), y: yOf(plane, point) });

/** The walls of the room, what is in them, and the ways that stay free. */
export const Walls = ({ analysis, plane, units }: Props) => {
  const { shell, walkways } = analysis.rig;
  const corners = shell?.corners ?? [];
  const mean = {
    xM: corners.reduce((sum, { xM }) => sum + xM, 0) / Math.max(1, corners.length),
    yM: corners.reduce((sum, { yM }) => sum + yM, 0) / Math.max(1, corners.length),
  };
  return (
    <>
      {inOrder(walkways).map(([id, way]) => (
        <g key={id}>
          <polygon className="way" points={pointsText(plane, groundOfWay(way))}>
            <title>{`${way.name}, ${lengthText(way.widthM, units)} wide, to stay free`}</title>
          </polygon>
        </g>
      ))}
      {corners.length > 0 && <polygon className="walls" points={pointsText(plane, corners)} />}
      {wallsOf(corners).map(([a, b], index) => (
        <WallLength
          key={index}
          from={at(plane, a)}
          to={at(plane, b)}
          inside={at(plane, mean)}
          m={Math.hypot(b.xM - a.xM, b.yM - a.yM)}
          text={lengthText(Math.hypot(b.xM - a.xM, b.yM - a.yM), units).replace(' m', '')}
        />
      ))}
      {openings(analysis).map(({ id, opening, from, to, inwardDeg }) => {
        const [a, b] = [at(plane, from), at(plane, to)];
        const swung = stepped(
          from,
          inwardDeg + (opening.opens === 'out' ? 180 : 0),
          opening.widthM,
        );
        const c = at(plane, swung);
        const isDoor = opening.what === 'door';
        const radius = opening.widthM * plane.pxPerM;
        const sweep = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x) > 0 ? 0 : 1;
        return (
          <g key={id}>
            <title>{`${opening.name}: ${opening.what}, ${lengthText(opening.widthM, units)} wide`}</title>
            <line
              className={isDoor ? 'gap' : opening.what === 'window' ? 'glass' : 'socket'}
              x1={a.x}
              y1={a.y}
              x2={b.x}
              y2={b.y}
            />
            {isDoor && (opening.opens === 'in' || opening.opens === 'out') && (
              <path
                className="swing"
                d={`M${a.x} ${a.y}L${c.x} ${c.y}A${radius} ${radius} 0 0 ${sweep === 1 ? 0 : 1} ${b.x} ${b.y}`}
              />
            )}
          </g>
        );
      })}
    </>
  );
};
