'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { compareVoice, type Fix, keepVoice, predictedVoices } from '@echo-loom/core';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { PlainTable } from '@/ui/PlainTable';
import type { LevelsFound } from '@/workers/measuring/tasks';
import { level, offText } from './level';
import { originOf } from './origin';

/** A test recording beside what the rig makes of one of its voices, and which figure is off. */
export const BesideVoice = ({ found }: { readonly found: LevelsFound }) => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState('');
  const voices = predictedVoices(analysis);
  const voice = voices.find(({ key }) => key === chosen) ?? voices[0];
  const { averageDbfs, peakDbfs, noise } = found;
  if (!voice)
    return (
      <Text fontSize="sm" color="ink.soft" mt="2">
        This rig has no voice to hold it against yet.
      </Text>
    );
  if (averageDbfs === null || peakDbfs === null) return null;
  const noiseDbfsA = noise?.aWeightedDbfs ?? null;
  const measured = { levelDbfs: averageDbfs, peakDbfs, noiseDbfsA };
  const compared = compareVoice(analysis, voice, measured);
  const isKept = Object.values(analysis.rig.readings).some(
    ({ of, file }) =>
      of.is === 'voice' && of.soundId === voice.soundId && file?.sha256 === found.sha256,
  );
  const keep = (fix: Fix | null) => run(keepVoice(analysis, voice, measured, originOf(found), fix));
  const predicted = (db: number | null): string => (db === null ? 'not known' : level(db, 'dBFS'));
  return (
    <Box mt="3">
      <ChoiceField
        label="It is the voice of"
        width="300px"
        value={voice.key}
        options={voices.map(({ key, label }) => ({ value: key, label }))}
        onChoose={setChosen}
      />
      <Box mt="2">
        <PlainTable
          label="Measured and predicted levels"
          headings={['Level', 'Predicted', 'Measured', 'Off']}
          lines={[
            {
              id: 'average',
              head: 'Average',
              cells: [
                predicted(voice.levelDbfs),
                level(averageDbfs, 'dBFS'),
                offText(compared.levelOffDb),
              ],
            },
            {
              id: 'peak',
              head: 'Peak',
              cells: [
                predicted(voice.peakDbfs),
                level(peakDbfs, 'dBFS'),
                offText(compared.peakOffDb),
              ],
            },
            {
              id: 'noise',
              head: 'Noise, A-weighted',
              cells: [
                predicted(voice.noiseDbfsA),
                level(noiseDbfsA, 'dBFS'),
                offText(compared.noiseOffDb),
              ],
            },
          ]}
        />
      </Box>
      <Text fontSize="sm" mt="1.5">
        {compared.says}
      </Text>
      <Flex gap="2" mt="1.5" wrap="wrap" className="screen-only">
        {compared.fixes.map((fix) => (
          <Button key={fix.label} size="xs" variant="outline" onClick={() => keep(fix)}>
            {fix.label}
          </Button>
        ))}
        {isKept ? (
          <Text fontSize="sm">Kept as measured.</Text>
        ) : (
          <Button size="xs" variant="outline" onClick={() => keep(null)}>
            Keep it, and leave the rig as it is
          </Button>
        )}
      </Flex>
    </Box>
  );
};
