'use client';

import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  figure,
  inOrder,
  lampSources,
  type LightSource,
  seenFaces,
  nameOfThing,
} from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';
import { today } from '@/ui/today';
import { luxText } from './shares';

const aimText = ({ rig }: Analysis, { lamp }: LightSource): string => {
  const aim = lamp?.aim;
  switch (aim?.at) {
    case 'person':
      return entry(rig.people, aim.personId)?.name ?? '';
    case 'backdrop':
      return entry(rig.backdrops, aim.backdropId)?.name ?? '';
    case 'point':
      return `x ${figure(aim.xM, 2)}, y ${figure(aim.yM, 2)}, ${figure(aim.zM, 2)} m high`;
    case 'turned':
      return `${aim.downDeg}° down`;
    default:
      return '';
  }
};

/** The usual cautions of light; they stand on every sheet. */
const CAUTIONS = [
  'Anything over heads has a second, rated fixing; a competent person rigs and inspects it.',
  'Stands: legs out fully, a bag on the foot under the lamp, cables taped or covered.',
  'Hot lamps: gloves, no cloth on them, a metre from heads, curtains and ceilings; let them cool ' +
    'before you touch them. Glass stays whole and behind its mesh.',
  'Mains: wiring is for licensed people; local code decides. Batteries are charged where somebody watches.',
  'No light flashes more than three times a second: people who are sensitive to it may be in the room or watching.',
];

/** The sheet for whoever sets the lights: number, place, height, aim, colour, dimmer of every look. */
export const LightSheet = ({ analysis }: { readonly analysis: Analysis }) => {
  const { rig } = analysis;
  const looks = inOrder(rig.looks);
  return (
    <Box className="print-only">
      <Text as="h2" fontSize="lg" fontWeight="600">
        {rig.name}: light
      </Text>
      <Text fontSize="sm">
        {today()}, lengths from the corner of the plan that x and y are told from
      </Text>
      <PlainTable
        label="Lamps, for whoever sets them"
        headings={[
          'No.',
          'Lamp',
          'Wears',
          'x, y, height in m',
          'Points at',
          'Colour',
          'Now',
          ...looks.map(([, { name }]) => name),
          'Answers to',
        ]}
        lines={lampSources(analysis).map((lamp, index) => ({
          id: lamp.id,
          head: index + 1,
          cells: [
            nameOfThing(analysis, lamp),
            lamp.lamp?.modifier?.name ?? 'nothing',
            [lamp.at.xM, lamp.at.yM, lamp.at.zM].map((metres) => figure(metres, 2)).join(', '),
            aimText(analysis, lamp),
            `${Math.round(lamp.kelvin)} K`,
            `${Math.round(1000 * lamp.share) / 10} %`,
            ...looks.map(([, { levels }]) => {
              const level = entry(levels, lamp.id);
              return level ? `${level.dimmer} %` : 'as it was';
            }),
            lamp.lamp?.answers?.name ?? '',
          ],
        }))}
      />
      <Text mt="3" fontWeight="600">
        To hold a meter against
      </Text>
      <PlainTable
        label="What a meter must read"
        headings={[
          'Face',
          'Meter at the face, towards where it looks',
          'Key and fill to fill',
          'Height of the eyes',
        ]}
        lines={seenFaces(analysis).map(({ personId, name, lux, ratio, eyes }) => ({
          id: personId,
          head: name,
          cells: [
            `${luxText(lux)} lux`,
            ratio === null ? 'no fill' : `${ratio.toFixed(1)} : 1`,
            `${eyes.zM.toFixed(2)} m`,
          ],
        }))}
      />
      <Text mt="3" fontWeight="600">
        Scenes
      </Text>
      {inOrder(rig.scenes).flatMap(([sceneId, { name }]) => {
        const lookId = entry(rig.cues, sceneId);
        const look = lookId === undefined ? undefined : entry(rig.looks, lookId);
        return look ? [<Text key={sceneId} fontSize="sm">{`${name}: ${look.name}`}</Text>] : [];
      })}
      <Text mt="3" fontWeight="600">
        Take care
      </Text>
      {CAUTIONS.map((caution) => (
        <Text key={caution} fontSize="sm">
          {caution}
        </Text>
      ))}
    </Box>
  );
};
