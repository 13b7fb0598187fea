import { Box } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { type KeyboardEvent, useMemo, useRef } from 'react';
import { placeNames } from '@/features/room/marks';
import { CableWays } from './CableWays';
import { Fields, Sounds } from './Layers';
import { Marks, personPx } from './Marks';
import { type Plane, type Units, xOf, yOf } from './plane';
import { Scale } from './Scale';
import { SURVEY_CSS } from './survey-css';
import type { Thing } from './thing';
import { GRID_M, useSurvey } from './useSurvey';
import { Walls } from './Walls';

export interface Shows {
  readonly fields: boolean;
  readonly sound: boolean;
  readonly cables: boolean;
}

interface Props {
  readonly analysis: Analysis;
  readonly things: readonly Thing[];
  readonly plane: Plane;
  readonly units: Units;
  readonly shows: Shows;
  readonly selected: string | null;
  readonly measuredTo: string | null;
  readonly onPlane: (plane: Plane) => void;
  readonly onSelect: (key: string | null) => void;
  readonly onPut: (thing: Thing, to: { xM?: number; yM?: number; facingDeg?: number }) => void;
}

/** Steps of the arrow keys: usual, with Shift, with Alt. @unit m */
const STEPS_M = { usual: GRID_M, shift: 0.25, alt: 0.01 } as const;
/** Steps of turning. @unit degrees */
const TURN_DEG = 15;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The plan, seen from above and to scale: everything on it can be dragged, nudged and turned. */
export const Survey = ({
  analysis,
  things,
  plane,
  units,
  shows,
  selected,
  measuredTo,
  onPlane,
  onSelect,
  onPut,
}: Props) => {
  const svg = useRef<SVGSVGElement>(null);
  useSurvey(svg, {
    plane,
    things,
    onPlane,
    onSelect,
    onDrop: (thing, xM, yM) => onPut(thing, { xM, yM }),
  });
  const names = useMemo(
    () =>
      placeNames(
        things.map(({ name, at, kind, on, moves }) => ({
          // What stands on something is named when there is room for its name.
          name:
            kind === 'way' || (kind === 'device' && (!moves || (on !== null && plane.pxPerM < 90)))
              ? null
              : name,
          x: xOf(plane, at),
          y: yOf(plane, at),
          nose: null,
          radiusPx: kind === 'person' ? personPx(plane) : 7,
        })),
        { left: 0, right: plane.widthPx, top: 0, bottom: plane.heightPx },
        true,
      ),
    [things, plane],
  );
  const keyed = (event: KeyboardEvent<SVGSVGElement>) => {
    const key =
      event.target instanceof Element
        ? event.target.closest('[data-thing]')?.getAttribute('data-thing')
        : null;
    const thing = things.find((one) => one.key === key);
    if (!thing) return;
    const arrow = ARROWS[event.key];
    if (arrow && thing.moves) {
      event.preventDefault();
      const step = event.shiftKey ? STEPS_M.shift : event.altKey ? STEPS_M.alt : STEPS_M.usual;
      onPut(thing, { xM: thing.at.xM + arrow[0] * step, yM: thing.at.yM + arrow[1] * step });
    } else if ((event.key === 'r' || event.key === 'R') && thing.turns) {
      event.preventDefault();
      onPut(thing, { facingDeg: thing.at.facingDeg + (event.shiftKey ? -TURN_DEG : TURN_DEG) });
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect(thing.key);
    } else if (event.key === 'Escape') onSelect(null);
  };
  const from = things.find(({ key }) => key === selected);
  const to = things.find(({ key }) => key === measuredTo);
  return (
    <Box asChild width="100%" borderWidth="1px" borderColor="rule" bg="paper.card" css={SURVEY_CSS}>
      <svg
        ref={svg}
        viewBox={`0 0 ${plane.widthPx} ${plane.heightPx}`}
        role="group"
        aria-label="The plan, seen from above. Arrows move what is chosen, R turns it."
        onKeyDown={keyed}
      >
        <Walls analysis={analysis} plane={plane} units={units} />
        {shows.fields && <Fields analysis={analysis} plane={plane} units={units} />}
        {shows.cables && <CableWays analysis={analysis} plane={plane} />}
        {shows.sound && <Sounds analysis={analysis} plane={plane} units={units} />}
        <Marks
          rig={analysis.rig}
          things={things}
          plane={plane}
          units={units}
          selected={selected}
          names={names}
        />
        {from && to && (
          <line
            className="measure"
            x1={xOf(plane, from.at)}
            y1={yOf(plane, from.at)}
            x2={xOf(plane, to.at)}
            y2={yOf(plane, to.at)}
          />
        )}
        <Scale plane={plane} units={units} />
      </svg>
    </Box>
  );
};
