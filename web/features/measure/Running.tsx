import { Box, Button, Flex, Progress, Text } from '@chakra-ui/react';
import type { Measured } from '@/workers/measuring/useMeasuring';

interface Props {
  readonly at: Measured<unknown>;
  readonly onCancel: () => void;
}

/** How far it is, and that it can be left; or why it failed. */
export const Running = ({ at, onCancel }: Props) => {
  if (at.state === 'failed')
    return (
      <Text role="alert" fontSize="sm" color="madder" mt="2">
        {at.says}
      </Text>
    );
  if (at.state !== 'running') return null;
  const percent = Math.round(100 * at.share);
  return (
    <Flex gap="3" mt="2" align="center">
      <Box flex="1">
        <Progress.Root value={percent} size="sm" aria-label="Measuring">
          <Progress.Track>
            <Progress.Range />
          </Progress.Track>
        </Progress.Root>
      </Box>
      <Text fontSize="sm" className="figures" aria-live="polite">
        {percent} %
      </Text>
      <Button size="xs" variant="outline" onClick={onCancel}>
        Cancel
      </Button>
    </Flex>
  );
};
