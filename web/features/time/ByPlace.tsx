import { Box, Text } from '@chakra-ui/react';
import { type Analysis, bestPlace, entry, giveWay, type PlaceTiming } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';
import { msText } from './offsets';

interface Props {
  readonly analysis: Analysis;
  readonly places: readonly PlaceTiming[];
}

/** What each place comes to with all others and alone: where one delay serves two, and where to record best. */
export const ByPlace = ({ analysis, places }: Props) => {
  const name = ({ placeId }: PlaceTiming): string =>
    entry(analysis.rig.devices, placeId)?.name ?? placeId;
  const giving = giveWay(places);
  const best = bestPlace(places);
  return (
    <Box mt="2">
      <PlainTable
        label="Each place, set with all others and alone"
        headings={['Place', 'Apart now', 'All set', 'Set for it alone']}
        lines={places.map((place) => ({
          id: place.placeId,
          head: name(place),
          cells: [place.nowMs, place.togetherMs, place.aloneMs].map((ms) => `${msText(ms)} ms`),
          isMarked: giving.includes(place),
        }))}
      />
      {giving.length > 0 && (
        <Text fontSize="sm" mt="1.5">
          At {giving.map(name).join(' and ')} more is left than alone, since a delay on the way
          serves other places too. To split them, bring the sound there by an input of its own, or
          put it into the picture at the switcher.
        </Text>
      )}
      {best && (
        <Text fontSize="sm" mt="1.5">
          All set, sound and picture lie closest at {name(best)}: record there what must be in sync.
        </Text>
      )}
    </Box>
  );
};
