import { Box, Button, Flex, Text } from '@chakra-ui/react';
import Link from 'next/link';

interface Props {
  /** Whether the studio has said anything of itself */
  readonly isSettled: boolean;
  readonly onNew: () => void;
}

/** What the shelf says before there is a rig: three steps to the first. */
export const EmptyShelf = ({ isSettled, onNew }: Props) => {
  const steps = [
    {
      title: isSettled ? 'The studio is said' : 'Say what the studio has',
      says: 'Its mains, its currency, its places. New rigs begin with them.',
      act: (
        <Button asChild size="sm" variant="outline">
          <Link href="/studio" prefetch={false}>
            {isSettled ? 'Look at it again' : 'Studio'}
          </Link>
        </Button>
      ),
    },
    {
      title: 'Make the first rig',
      says:
        'A rig is one studio: its cameras, microphones and everything between them and the ' +
        'audience. Start from a show like yours, from nothing, or import a file.',
      act: (
        <Button size="sm" bg="madder" color="madder.ink" onClick={onNew}>
          New rig
        </Button>
      ),
    },
    {
      title: 'Follow what comes next',
      says: 'The line at the top names the one step that gains most. The findings say why.',
      act: null,
    },
  ];
  return (
    <Box borderWidth="1px" borderColor="rule" bg="paper.card" p="6" maxW="760px" mx="auto">
      <Text fontWeight="600" fontSize="lg" mb="3">
        The shelf is empty.
      </Text>
      <Flex as="ol" direction="column" gap="4" listStyleType="none">
        {steps.map(({ title, says, act }, index) => (
          <Flex as="li" key={title} gap="4" align="start">
            <Text className="figures" fontSize="xl" color="madder" aria-hidden>
              {index + 1}
            </Text>
            <Box flex="1">
              <Text fontWeight="600">{title}</Text>
              <Text fontSize="sm" color="ink.soft">
                {says}
              </Text>
            </Box>
            {act}
          </Flex>
        ))}
      </Flex>
    </Box>
  );
};
