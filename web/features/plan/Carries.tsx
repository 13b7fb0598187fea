import { Box, Text } from '@chakra-ui/react';
import { type Analysis, figure, inRack, loaded, TIP_FACTOR, deviceNameById } from '@echo-loom/core';

/** What a support carries, and what comes of it. */
export const Carries = ({ analysis, id }: { readonly analysis: Analysis; readonly id: string }) => {
  const thing = loaded(analysis).find((one) => one.id === id);
  if (!thing) return null;
  const { loads, loadKg, heatW, tipping, armM, support } = thing;
  const things = support.figures.is === 'rack' ? [...inRack(analysis, thing)].reverse() : null;
  return (
    <Box fontSize="sm" borderTopWidth="1px" borderColor="rule" pt="1.5">
      <Text>
        {loads.length === 0 && loadKg === 0
          ? 'It carries nothing.'
          : `Carries ${figure(loadKg, 2)} kg, ${figure(heatW, 0)} W of heat.`}
      </Text>
      {things ? (
        <Box as="ol" aria-label={`In ${support.name}, from above`} className="figures" pl="0">
          {things.map(({ deviceId, from, units }) => (
            <Box as="li" key={deviceId} display="flex" gap="2" listStyleType="none">
              <Box as="span" minW="56px" color="ink.soft">
                {units === 1 ? `${from} U` : `${from}–${from + units - 1} U`}
              </Box>
              <Box as="span">{deviceNameById(analysis, deviceId)}</Box>
            </Box>
          ))}
        </Box>
      ) : (
        loads.length > 0 && (
          <Text color="ink.soft">
            {loads
              .map(
                ({ deviceId, massKg }) =>
                  `${deviceNameById(analysis, deviceId)} ${figure(massKg, 2)} kg`,
              )
              .join(', ')}
          </Text>
        )
      )}
      {tipping && Number.isFinite(tipping.factor) && (
        <Text className="figures">
          {`Stands ${figure(tipping.factor, 2)} times; ${TIP_FACTOR} is asked for` +
            `${tipping.bagKg > 0 ? `: a bag of ${figure(tipping.bagKg, 2)} kg` : ''}.`}
        </Text>
      )}
      {armM !== null && <Text className="figures">{`Reaches out ${figure(armM, 2)} m.`}</Text>}
    </Box>
  );
};
