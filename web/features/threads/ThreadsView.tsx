'use client';

import { useRig } from '@/features/rig/RigProvider';
import { DataTable, tableColumns } from '@/ui/DataTable';
import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  CABLES,
  figure,
  formatName,
  headroomDb,
  patchOrder,
  portAt,
  stagesOf,
  type Thread,
} from '@echo-loom/core';
import { useMemo } from 'react';

type ThreadRow = {
  readonly id: string;
  readonly signal: string;
  readonly way: string;
  readonly arrives: string;
  readonly headroom: string;
  readonly delay: string;
};

const rowOf = (analysis: Analysis, thread: Thread): ThreadRow => {
  const stages = stagesOf(thread.last);
  const way = stages
    .map((stage) => analysis.device(stage.at.device).name)
    .filter((name, index, all) => name !== all[index - 1]);
  const sound = analysis.sound[thread.last.index];
  const picture = analysis.picture[thread.last.index];
  const margins = stages.flatMap((stage) => {
    const figures = analysis.sound[stage.index];
    const headroom = figures ? headroomDb(figures) : null;
    return headroom === null ? [] : [headroom];
  });
  const delay = analysis.delay[thread.last.index];
  return {
    id: thread.id,
    signal: thread.signal,
    way: way.join(' → '),
    arrives: sound
      ? sound.levelDb === null
        ? `needs ${sound.unknown?.says ?? 'a figure'}`
        : `${figure(sound.levelDb)} ${sound.unit}`
      : picture?.format
        ? formatName(picture.format)
        : 'none',
    headroom: margins.length ? `${figure(Math.min(...margins))} dB` : '',
    delay: delay ? `${delay.unknown ? '≥ ' : ''}${figure(delay.knownMs)} ms` : '',
  };
};

/** Most rows drawn on the screen. */
const SHOWN = 400;

const THREAD_COLUMNS = tableColumns<ThreadRow>([
  { key: 'signal', heading: 'Signal' },
  { key: 'way', heading: 'Way' },
  { key: 'arrives', heading: 'Arrives', figures: true },
  { key: 'headroom', heading: 'Least headroom', figures: true },
  { key: 'delay', heading: 'Delay', figures: true },
]);

type CableRow = Readonly<Record<'number' | 'from' | 'to' | 'kind' | 'length', string>>;
const CABLE_COLUMNS = tableColumns<CableRow>([
  { key: 'number', heading: 'Cable', figures: true },
  { key: 'from', heading: 'From' },
  { key: 'to', heading: 'To' },
  { key: 'kind', heading: 'Kind' },
  { key: 'length', heading: 'Length', figures: true },
]);

const cableRows = ({ rig }: Analysis): CableRow[] =>
  patchOrder(rig)
    .filter(([, link]) => link.cable.kind !== 'inside')
    .map(([, link], index) => ({
      number: String(index + 1),
      from: `${rig.devices[link.from.deviceId]?.name ?? ''}, ${portAt(rig, link.from)?.name ?? ''}`,
      to: `${rig.devices[link.to.deviceId]?.name ?? ''}, ${portAt(rig, link.to)?.name ?? ''}`,
      kind: CABLES[link.cable.kind].name,
      length: `${link.cable.lengthM} m`,
    }));

/** The loom as tables: every thread with what arrives, and the patch sheet. For screen readers, for print. */
export const ThreadsView = () => {
  const analysis = useRig((state) => state.analysis);
  const rows = useMemo(
    () => analysis.traced.threads.slice(0, SHOWN).map((thread) => rowOf(analysis, thread)),
    [analysis],
  );
  const cables = useMemo(() => cableRows(analysis), [analysis]);
  return (
    <Box
      overflow="auto"
      p="4"
      flex="1"
      tabIndex={0}
      role="region"
      aria-label="Threads and cables as tables"
    >
      <Text as="h2" fontSize="lg" fontWeight="600" mb="2">
        Threads
      </Text>
      {rows.length === 0 ? (
        <Text mb="4">
          No thread reaches a destination yet. Connect a source onward until it reaches a stream, a
          recording, a screen or headphones.
        </Text>
      ) : (
        <DataTable label="Threads" columns={THREAD_COLUMNS} rows={rows} />
      )}
      {analysis.traced.threads.length > SHOWN && (
        <Text mb="4">And {analysis.traced.threads.length - SHOWN} more threads.</Text>
      )}
      <Text as="h2" fontSize="lg" fontWeight="600" mb="2">
        Patch sheet
      </Text>
      {cables.length === 0 ? (
        <Text>No cables yet.</Text>
      ) : (
        <DataTable label="Patch sheet" columns={CABLE_COLUMNS} rows={cables} />
      )}
    </Box>
  );
};
