'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import type { Analysis, Rig } from '@echo-loom/core';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Begin } from '@/features/room/Begin';
import { Chosen } from './Chosen';
import { Elevation } from './Elevation';
import { EyeLines } from './EyeLines';
import { Frames } from './Frames';
import { Openings } from './Openings';
import { PlaceIt } from './PlaceIt';
import { useStudio } from '@/features/rig/Studio';
import { fitted, type Plane, type Units, zoomed } from './plane';
import { PrintSheet } from './PrintSheet';
import { Sets } from './Sets';
import { Standing } from './Standing';
import { type Shows, Survey } from './Survey';
import { laidThings } from './laid-things';
import type { Thing } from './thing';
import { cornersOf, putAt, thingsOf } from './things';

const WIDTH_PX = 760;
const HEIGHT_PX = 520;

// What is beside the plan follows it: an edit is drawn on the plan first.
const ElevationLater = memo(Elevation);
const StandingLater = memo(Standing);
const SetsLater = memo(Sets);
const EyeLinesLater = memo(EyeLines);
const OpeningsLater = memo(Openings);
const PrintLater = memo(PrintSheet);
const FramesLater = memo(Frames);

const Found = memo(({ analysis }: { readonly analysis: Analysis }) => (
  <Flex direction="column" gap="2.5">
    {analysis.findings
      .filter(({ area }) => area === 'place' || area === 'stands')
      .map((finding, index) => (
        <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
      ))}
  </Flex>
));
Found.displayName = 'Found';

const fit = (analysis: Analysis, things: readonly Thing[]): Plane =>
  fitted(
    [...(analysis.rig.shell?.corners ?? []), ...things.map(({ at }) => at)],
    WIDTH_PX,
    HEIGHT_PX,
  );

/** Whether somebody of the show has no place in the room yet. */
const isBare = ({ people }: Rig): boolean =>
  Object.values(people).every(({ at, where }) => !at || where === 'remote');

/** The room with everything in it, to scale: where things stand, what lenses see, what carries what. */
export const PlanView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const later = useDeferredValue(analysis);
  const [movesWalls, setMovesWalls] = useState(false);
  const [movesWays, setMovesWays] = useState(false);
  const [shows, setShows] = useState<Shows>({ fields: true, sound: false, cables: false });
  const waysMove = movesWays && shows.cables;
  const things = useMemo(
    () => [
      ...thingsOf(analysis),
      ...(movesWalls ? cornersOf(analysis) : []),
      ...(waysMove ? laidThings(analysis) : []),
    ],
    [analysis, movesWalls, waysMove],
  );
  const [moved, setPlane] = useState<Plane | null>(null);
  const whole = useMemo(() => fit(analysis, things), [analysis, things]);
  const plane = moved ?? whole;
  const [selected, setSelected] = useState<string | null>(null);
  const [measuredTo, setMeasuredTo] = useState<string | null>(null);
  const [units, setUnits] = useState<Units>(useStudio().lengths);
  const put = (thing: Thing, to: { xM?: number; yM?: number; facingDeg?: number }) => {
    const commands = putAt(analysis.rig, thing, { ...thing.at, ...to });
    const [only] = commands;
    if (commands.length === 1 && only) run(only);
    else if (commands.length > 0)
      run({ type: 'batch', label: `Moved ${thing.name}.`, commands: [...commands] });
  };
  const zoom = (factor: number) =>
    setPlane(zoomed(plane, factor, plane.widthPx / 2, plane.heightPx / 2));
  const chosen = things.find(({ key }) => key === selected);
  const toggle = (name: keyof Shows, label: string) => (
    <Button
      size="sm"
      variant={shows[name] ? 'solid' : 'outline'}
      aria-pressed={shows[name]}
      onClick={() => setShows({ ...shows, [name]: !shows[name] })}
    >
      {label}
    </Button>
  );
  if (!analysis.rig.shell && things.length === 0)
    return (
      <Box overflowY="auto" p="4" flex="1">
        <Begin />
      </Box>
    );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="5"
        rowGap="4"
        alignItems="start"
        className="screen-only"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 7fr) minmax(0, 4fr)' }}
      >
        <Box>
          <Flex gap="2" mb="2" wrap="wrap" align="center">
            {toggle('fields', 'What lenses see')}
            {toggle('sound', 'What microphones hear')}
            {toggle('cables', 'Cables and mains')}
            {shows.cables && laidThings(analysis).length > 0 && (
              <Button
                size="sm"
                variant={movesWays ? 'solid' : 'outline'}
                aria-pressed={movesWays}
                onClick={() => setMovesWays(!movesWays)}
              >
                Move ways and strips
              </Button>
            )}
            {analysis.rig.shell && (
              <Button
                size="sm"
                variant={movesWalls ? 'solid' : 'outline'}
                aria-pressed={movesWalls}
                onClick={() => setMovesWalls(!movesWalls)}
              >
                Move the walls
              </Button>
            )}
            <Button size="sm" variant="outline" aria-label="Larger" onClick={() => zoom(1.25)}>
              +
            </Button>
            <Button size="sm" variant="outline" aria-label="Smaller" onClick={() => zoom(0.8)}>
              −
            </Button>
            <Button size="sm" variant="outline" onClick={() => setPlane(null)}>
              All of it
            </Button>
            <Button
              size="sm"
              variant="outline"
              onClick={() => setUnits(units === 'm' ? 'ft' : 'm')}
            >
              {units === 'm' ? 'In feet' : 'In metres'}
            </Button>
          </Flex>
          <Survey
            analysis={analysis}
            things={things}
            plane={plane}
            units={units}
            shows={shows}
            selected={selected}
            measuredTo={measuredTo}
            onPlane={setPlane}
            onSelect={(key) => {
              setSelected(key);
              setMeasuredTo(null);
            }}
            onPut={put}
          />
          <Text fontSize="xs" color="ink.soft" mt="1">
            Drag, or choose with Tab and move with the arrows (Shift farther, Alt finer); R turns.
            Things snap to 5 cm and in line with one another; hold Alt to leave that. Ctrl and the
            wheel, or two fingers, make it larger.
          </Text>
          <ElevationLater analysis={later} units={units} />
          <FramesLater analysis={later} />
          <EyeLinesLater analysis={later} />
          <OpeningsLater analysis={later} />
        </Box>
        <Flex direction="column" gap="4">
          {isBare(analysis.rig) && <PlaceIt analysis={analysis} />}
          {chosen ? (
            <Chosen
              analysis={analysis}
              thing={chosen}
              things={things}
              units={units}
              measuredTo={measuredTo}
              onMeasure={setMeasuredTo}
              onPut={put}
              onGone={() => setSelected(null)}
            />
          ) : (
            <StandingLater analysis={later} onSelect={setSelected} />
          )}
          <SetsLater analysis={later} />
          <PrintLater analysis={later} />
          <Found analysis={later} />
        </Flex>
      </Grid>
    </Box>
  );
};
