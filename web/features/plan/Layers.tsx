import {
  ahead,
  type Analysis,
  microphonesInRoom,
  patternDb,
  stepped,
  views,
} from '@echo-loom/core';
import { memo } from 'react';
import { lengthText, type Plane, pointsText, type Units, xOf, yOf } from './plane';

interface Props {
  readonly analysis: Analysis;
  readonly plane: Plane;
  readonly units: Units;
}

/** What each camera sees: a pale wedge as far as the background, with its distance as a surveyor writes it. */
export const Fields = memo(({ analysis, plane, units }: Props) => (
  <>
    {analysis.rig.shell && (
      <clipPath id="within-walls">
        <polygon points={pointsText(plane, analysis.rig.shell.corners)} />
      </clipPath>
    )}
    {views(analysis).map(({ shotId, camera, framing, onPlan }) => {
      const { forward, at } = camera;
      const flat = Math.hypot(forward[0], forward[1]);
      if (flat < 0.2 || !onPlan.subject) return null;
      const facingDeg = (Math.atan2(forward[0], forward[1]) * 180) / Math.PI;
      const spot = { xM: at.xM, yM: at.yM, facingDeg };
      const { distanceM, backgroundM } = framing.shot;
      const farM = ((distanceM ?? 3) + Math.min(backgroundM ?? 1, 2)) * flat;
      const half = camera.halfWidth * (farM / flat);
      const [x, y] = [xOf(plane, spot), yOf(plane, spot)];
      const [sx, sy] = [xOf(plane, onPlan.subject), yOf(plane, onPlan.subject)];
      const length = Math.hypot(sx - x, sy - y);
      return (
        <g key={shotId}>
          <polygon
            className="field"
            clipPath={analysis.rig.shell ? 'url(#within-walls)' : undefined}
            points={pointsText(plane, [spot, ahead(spot, -half, farM), ahead(spot, half, farM)])}
          />
          <line className="sightline" x1={x} y1={y} x2={sx} y2={sy} />
          {length > 70 && distanceM !== null && (
            <text className="distance" x={(x + sx) / 2 + 4} y={(y + sy) / 2 - 4}>
              {lengthText(distanceM, units)}
            </text>
          )}
        </g>
      );
    })}
  </>
));
Fields.displayName = 'Fields';

/** Angles at which a pattern is drawn. @unit degrees */
const ROUND = Array.from({ length: 36 }, (_, step) => step * 10);

/** What each microphone hears: its pattern, out to where the room is as loud as the voice, and the noises. */
export const Sounds = memo(({ analysis, plane, units }: Props) => (
  <>
    {microphonesInRoom(analysis).map(({ node, spot, pattern, criticalDistanceM, noises }) => {
      if (!spot || pattern === null) return null;
      const reachM = criticalDistanceM ?? 0.5;
      const outline = ROUND.map((deg) =>
        stepped(spot, spot.facingDeg + deg, 10 ** (patternDb(pattern, deg) / 20) * reachM),
      );
      const loudest = [...noises].sort((a, b) => b.spl - a.spl)[0];
      return (
        <g key={node.index}>
          <polygon className="pattern" points={pointsText(plane, outline)}>
            <title>{`Hears ${pattern}; the room is as loud as the voice at ${lengthText(reachM, units)}`}</title>
          </polygon>
          {loudest && (
            <text className="distance" x={xOf(plane, spot) + 6} y={yOf(plane, spot) + 16}>
              {`${loudest.spl.toFixed(0)} dB(A)`}
            </text>
          )}
        </g>
      );
    })}
  </>
));
Sounds.displayName = 'Sounds';
