import { Text } from '@chakra-ui/react';
import { useLookAgain } from './useLookAgain';

/** Says that some rigs changed and are still being worked out, and looks again until they are. */
export const StillReading = ({ rigs }: { readonly rigs: number }) => {
  useLookAgain(rigs > 0);
  return rigs === 0 ? null : (
    <Text role="status" fontSize="sm" mb="3">
      {rigs === 1 ? 'One rig has' : `${rigs} rigs have`} changed and {rigs === 1 ? 'is' : 'are'}{' '}
      still being worked out; what stands here of {rigs === 1 ? 'it' : 'them'} is from before.
    </Text>
  );
};
