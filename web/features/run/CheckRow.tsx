import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type CheckLine,
  type Happened,
  readOff,
  type RunState,
  timeOfDayText,
  type ToRead,
} from '@echo-loom/core';
import { NumberField } from '@/ui/NumberField';
import { localS } from './local';

/** Averages lie below full scale: many keyboards of phones have no minus, so “27” is −27 there. */
const belowFull = (unit: ToRead['unit'], read: number): number =>
  unit === 'ms' ? read : -Math.abs(read);

/** A line of a list, as large as a thumb; where a meter is read, the figure is kept with the run. */
export const CheckRow = ({
  line,
  state,
  isNew,
  onHappened,
}: {
  readonly line: CheckLine;
  readonly state: RunState;
  readonly isNew: boolean;
  readonly onHappened: (happened: Happened) => void;
}) => {
  const tick = state.ticks.get(line.id);
  const { reads } = line;
  const value = state.measured.get(line.id)?.value ?? null;
  const off = reads && value !== null ? readOff(reads, value) : null;
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="rule">
      <Flex
        as="button"
        role="checkbox"
        aria-checked={tick !== undefined}
        aria-label={line.what}
        width="100%"
        textAlign="start"
        gap="3"
        py="2.5"
        px="1"
        minH="14"
        align="start"
        cursor="pointer"
        onClick={() => onHappened({ is: tick ? 'unticked' : 'ticked', lineId: line.id })}
      >
        <Box
          flex="none"
          width="7"
          height="7"
          borderWidth="2px"
          borderColor={line.isMust && !tick ? 'madder' : 'rule.strong'}
          bg={tick ? 'level.well' : 'transparent'}
          color="paper"
          fontSize="lg"
          lineHeight="1.4"
          textAlign="center"
          fontWeight="700"
          aria-hidden
        >
          {tick ? '✓' : ''}
        </Box>
        <Box flex="1" minW="0">
          <Text fontSize="lg" lineHeight="1.3" color={tick ? 'ink.soft' : 'ink'}>
            {line.what}
            {line.isMust && (
              <Text as="span" fontSize="sm" color="madder">
                {' '}
                must
              </Text>
            )}
            {isNew && (
              <Text as="span" fontSize="sm" color="level.warn">
                {' '}
                changed since this run began
              </Text>
            )}
          </Text>
          {line.figure !== null && (
            <Text className="figures" fontSize="sm">
              {line.figure}
            </Text>
          )}
          <Text fontSize="sm" color="ink.soft">
            {[line.where, line.who, line.why].filter((text) => text !== '').join(' · ')}
          </Text>
          {line.caution !== null && (
            <Text fontSize="sm" color="level.warn">
              {line.caution}
            </Text>
          )}
          {tick && (
            <Text fontSize="sm" color="ink.soft">
              {`${tick.by}, ${timeOfDayText(localS(tick.atMs))}`}
            </Text>
          )}
        </Box>
      </Flex>
      {reads && (
        <Box ps="11" pb="2.5" maxW="22rem">
          <NumberField
            label="Read off"
            unit={reads.unit}
            value={value}
            min={-1e6}
            max={1e6}
            whenEmpty="–"
            onCommit={(read) =>
              read !== null &&
              onHappened({
                is: 'measured',
                lineId: line.id,
                value: belowFull(reads.unit, read),
                unit: reads.unit,
              })
            }
          />
          {off && (
            <Text role="status" fontSize="sm" color={off.isFar ? 'level.warn' : 'ink.soft'}>
              {off.says}
            </Text>
          )}
        </Box>
      )}
    </Box>
  );
};
