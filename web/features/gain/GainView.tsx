'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { reanalyse, apply, ladderOf, type GainAnswer, type SimpleCommand } from '@echo-loom/core';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { SumList } from '@/features/findings/SumList';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';
import { GainSheet } from './GainSheet';
import { Knobs } from './Knobs';
import { Ladder } from './Ladder';
import { Proposal } from './Proposal';
import { Remedies } from './Remedies';
import { sumsOfVoice, voiceRows } from './rows';
import { VoiceTable } from './VoiceTable';

const VoicesLater = memo(VoiceTable);
const SheetLater = memo(GainSheet);
const RemediesLater = memo(Remedies);

/**
 * Every voice from mouth to converter: how far it is set well, its ladder, the best settings, and
 * what money would change.
 */
export const GainView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState<string | null>(null);
  const [trying, setTrying] = useState<readonly SimpleCommand[] | null>(null);
  // The ladder of the chosen voice follows at once; what lists all of them follows when there is time.
  const later = useDeferredValue(analysis);
  const rows = useMemo(() => voiceRows(analysis), [analysis]);
  const rowsLater = useMemo(() => voiceRows(later), [later]);
  const choose = useCallback((id: string) => {
    setChosen(id);
    setTrying(null);
  }, []);
  const row =
    rows.find(({ id }) => id === chosen) ??
    rows.find(({ neededDb }) => neededDb !== null && Math.abs(neededDb) > 3) ??
    rows[0];
  const stageIndex = row?.stage.index ?? -1;
  const settings = useSearch({
    analysis,
    ask: async (tasks, onProgress): Promise<GainAnswer> =>
      await tasks.settingsFor(stageIndex, onProgress),
  });
  const everything = useSearch({
    analysis,
    ask: (tasks, onProgress) => tasks.settingsForAll(onProgress),
    onFound: (commands) => {
      if (commands.length > 0)
        run({ type: 'batch', label: 'Set every gain as found best', commands: [...commands] });
    },
  });
  if (!row)
    return (
      <Box m="auto" textAlign="center" maxW="46ch" p="6">
        <Text fontWeight="600" fontSize="lg">
          No voice reaches a converter yet.
        </Text>
        <Text mt="1">
          Add a microphone, give it to a person, and connect it to an interface, a mixer or a
          recorder. Then its gain is computed here from mouth to file.
        </Text>
      </Box>
    );
  const found =
    settings.about === row.id && settings.at.state === 'done' ? settings.at.value : null;
  // What is dragged, or what was found, is shown on the ladder before it is set.
  const shown = trying ?? (found?.can ? found.proposal.commands : null);
  const tried =
    shown && shown.length > 0
      ? reanalyse(
          analysis,
          apply(analysis.rig, { type: 'batch', label: 'Try', commands: [...shown] }),
        )
      : null;
  const triedRow = tried && voiceRows(tried).find(({ id }) => id === row.id);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1" minW="0" width="100%">
          <Flex justify="space-between" align="center" mb="2" gap="2" wrap="wrap">
            <Text as="h2" fontSize="lg" fontWeight="600">
              Voices
            </Text>
            <Flex gap="2" className="screen-only">
              <Button size="sm" variant="outline" onClick={() => window.print()}>
                Print
              </Button>
              <Button
                size="sm"
                bg="madder"
                color="madder.ink"
                disabled={everything.about !== null}
                onClick={() => everything.start('every voice')}
              >
                Set every gain
              </Button>
            </Flex>
          </Flex>
          <SearchProgress
            at={everything.at}
            label="Setting one voice after the other"
            onCancel={everything.cancel}
          />
          <VoicesLater analysis={later} rows={rowsLater} chosen={row.id} onChoose={choose} />
          <SheetLater analysis={later} rows={rowsLater} />
        </Box>
        <Box flex="1" minW="0" width="100%" role="region" aria-label={`Gain of ${row.name}`}>
          <Flex justify="space-between" align="baseline" mb="1">
            <Text as="h2" fontSize="lg" fontWeight="600">
              {row.name}
            </Text>
            <Button
              size="xs"
              variant="outline"
              className="screen-only"
              onClick={() => settings.start(row.id)}
            >
              Set it for me
            </Button>
          </Flex>
          {settings.about === row.id && (
            <SearchProgress
              at={settings.at}
              label="Trying every setting"
              onCancel={settings.cancel}
            />
          )}
          {found && (
            <Proposal analysis={analysis} answer={found} name={row.name} onDone={settings.cancel} />
          )}
          <Ladder
            analysis={triedRow && tried ? tried : analysis}
            stage={triedRow?.stage ?? row.stage}
            before={triedRow ? ladderOf(analysis, row.stage) : null}
          >
            <Box className="screen-only">
              <Knobs
                analysis={analysis}
                stage={row.stage}
                onTry={(command) => setTrying(command && [command])}
              />
            </Box>
          </Ladder>
          <SumList sums={sumsOfVoice(analysis, row)} open={false} />
        </Box>
      </Flex>
      <RemediesLater
        analysis={later}
        stage={(rowsLater.find(({ id }) => id === row.id) ?? row).stage}
        name={row.name}
      />
    </Box>
  );
};
