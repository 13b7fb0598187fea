import { Box, Table, Text } from '@chakra-ui/react';
import { type Analysis, inOrder } from '@echo-loom/core';
import { sheetLines, type VoiceRow } from './rows';

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly VoiceRow[];
}

/** Settings to repeat, beside the gains on the sheet that is printed. */
const RemindersList = ({ analysis: { rig } }: Pick<Props, 'analysis'>) => {
  const reminders = inOrder(rig.reminders);
  if (reminders.length === 0) return null;
  return (
    <Box mt="3">
      <Text as="h3" fontWeight="600" mb="1">
        Also to be set
      </Text>
      <Box as="ul" ps="5" fontSize="sm" aria-label="Settings to repeat">
        {reminders.map(([id, { deviceId, personId, what, value }]) => (
          <Box as="li" key={id}>
            <Text as="strong">
              {(deviceId !== null && rig.devices[deviceId]?.name) ||
                (personId !== null && rig.people[personId]?.name) ||
                'The room'}
            </Text>
            : {what}, {value}
          </Box>
        ))}
      </Box>
    </Box>
  );
};

/** Every gain as it is to be set by hand: printed for whoever stands at the knobs. */
export const GainSheet = ({ analysis, rows }: Props) => (
  <Box mt="5">
    <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
      At the knobs
    </Text>
    <Table.Root size="sm" variant="outline" aria-label="Gains to set by hand">
      <Table.Header>
        <Table.Row bg="paper.deep">
          {['Input', 'Voice', 'Set to'].map((heading) => (
            <Table.ColumnHeader key={heading} px="1.5">
              {heading}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {sheetLines(analysis, rows).map(({ place, voice, setting }) => (
          <Table.Row key={place} bg="transparent" data-sheet={place}>
            <Table.Cell px="1.5" py="1" fontWeight="600">
              {place}
            </Table.Cell>
            <Table.Cell px="1.5" py="1">
              {voice}
            </Table.Cell>
            <Table.Cell px="1.5" py="1" className="figures" fontSize="0.8125rem">
              {setting}
            </Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
    <RemindersList analysis={analysis} />
  </Box>
);
