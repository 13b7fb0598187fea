'use client';

import { Box, Text } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import { Switched } from '@/ui/Switched';
import { loudspeakerRows, talkbackRows } from './rows';

/** What is heard beside headphones and off air: talkback and intercom, and loudspeakers with their mutes. */
export const Beside = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [talkback, loudspeakers] = [talkbackRows(analysis), loudspeakerRows(analysis)];
  return (
    <>
      {talkback.length > 0 && (
        <Box mt="5">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            Talkback and intercom
          </Text>
          <PlainTable
            label="Talkback and intercom"
            headings={['Who speaks', 'Is heard by']}
            lines={talkback.map(({ deviceId, name, person, reaches }) => ({
              id: deviceId,
              head: (
                <>
                  {person}
                  <Text as="span" display="block" fontWeight="400" fontSize="xs" color="ink.soft">
                    {name}
                  </Text>
                </>
              ),
              cells: [
                <Text as="span" key="reaches" fontFamily="body" fontSize="sm">
                  {reaches.join(', ') || 'nobody'}
                </Text>,
              ],
            }))}
          />
        </Box>
      )}
      {loudspeakers.length > 0 && (
        <Box mt="5">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            Loudspeakers
          </Text>
          <PlainTable
            label="Loudspeakers"
            headings={['Loudspeaker', 'Plays', 'While microphones are open']}
            lines={loudspeakers.map(({ deviceId, name, plays, muteControl, isMuted }) => ({
              id: deviceId,
              head: name,
              cells: [
                <Text as="span" key="plays" fontFamily="body" fontSize="sm">
                  {plays.join(', ') || 'nothing'}
                </Text>,
                muteControl === null ? (
                  'has no switch'
                ) : (
                  <Switched
                    key="mute"
                    label={isMuted ? 'muted' : 'open'}
                    isOn={isMuted}
                    onTurn={(value) =>
                      run({ type: 'setControl', deviceId, control: muteControl, value })
                    }
                  />
                ),
              ],
            }))}
            note="What an open loudspeaker sends back into each microphone is under Sound."
          />
        </Box>
      )}
    </>
  );
};
