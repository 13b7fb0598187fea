'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import { figure, formatName, headroomDb, patchOrder, CABLES, portAt, stagesOf, type Analysis, type Thread } from '@echo-loom/core';
import { useMemo } from 'react';
import { useRig } from '@/features/rig/RigProvider';

interface ThreadRow {
  readonly id: string;
  readonly signal: string;
  readonly way: string;
  readonly arrives: string;
  readonly headroom: string;
  readonly delay: string;
}

const rowOf = (analysis: Analysis, thread: Thread): ThreadRow => {
  const stages = stagesOf(thread.last);
  const way = stages.map((stage) => stage.at.device.device.name).filter((name, index, all) => name !== all[index - 1]);
  const sound = analysis.sound[thread.last.index];
  const picture = analysis.picture[thread.last.index];
  const margins = stages.flatMap((stage) => {
    const figures = analysis.sound[stage.index];
    const headroom = figures ? headroomDb(figures) : null;
    return headroom === null ? [] : [headroom];
  });
  const delay = analysis.delay[thread.last.index];
  return {
    id: thread.id, signal: thread.signal, way: way.join(' → '),
    arrives: sound ? (sound.levelDb === null ? `needs ${sound.unknown ?? 'a figure'}` : `${figure(sound.levelDb)} ${sound.unit}`) : picture?.format ? formatName(picture.format) : 'none',
    headroom: margins.length ? `${figure(Math.min(...margins))} dB` : '',
    delay: delay ? `${delay.unknown ? '≥ ' : ''}${figure(delay.knownMs)} ms` : '',
  };
};

/** Most rows drawn on the screen. */
const SHOWN = 400;

const Head = ({ names }: { readonly names: readonly string[] }) => (
  <Table.Header><Table.Row bg="paper.deep">{names.map((name) => <Table.ColumnHeader key={name}>{name}</Table.ColumnHeader>)}</Table.Row></Table.Header>
);

/** The loom as tables: every thread with what arrives, and the patch sheet. For screen readers, for print. */
export const ThreadsView = () => {
  const analysis = useRig((state) => state.analysis);
  const rows = useMemo(() => analysis.traced.threads.slice(0, SHOWN).map((thread) => rowOf(analysis, thread)), [analysis]);
  const cables = patchOrder(analysis.rig).filter(([, link]) => link.cable.kind !== 'inside');
  return (
    <Box overflow="auto" p="4" flex="1" tabIndex={0} role="region" aria-label="Threads and cables as tables">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="2">Threads</Text>
      {rows.length === 0 && <Text mb="4">No thread reaches a destination yet. Connect a source onward until it reaches a stream, a recording, a screen or headphones.</Text>}
      {rows.length > 0 && (
        <Table.Root size="sm" mb="6" variant="outline">
          <Head names={['Signal', 'Way', 'Arrives', 'Least headroom', 'Delay']} />
          <Table.Body>
            {rows.map((row) => (
              <Table.Row key={row.id} bg="transparent">
                <Table.Cell>{row.signal}</Table.Cell>
                <Table.Cell>{row.way}</Table.Cell>
                <Table.Cell className="figures" fontSize="13px" whiteSpace="nowrap">{row.arrives}</Table.Cell>
                <Table.Cell className="figures" fontSize="13px" whiteSpace="nowrap">{row.headroom}</Table.Cell>
                <Table.Cell className="figures" fontSize="13px" whiteSpace="nowrap">{row.delay}</Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      )}
      {analysis.traced.threads.length > SHOWN && <Text mb="4">And {analysis.traced.threads.length - SHOWN} more threads.</Text>}
      <Text as="h2" fontSize="lg" fontWeight="600" mb="2">Patch sheet</Text>
      <Table.Root size="sm" variant="outline">
        <Head names={['Cable', 'From', 'To', 'Kind', 'Length']} />
        <Table.Body>
          {cables.map(([id, link], index) => (
            <Table.Row key={id} bg="transparent">
              <Table.Cell className="figures" fontSize="13px">{index + 1}</Table.Cell>
              <Table.Cell>{analysis.rig.devices[link.from.deviceId]?.name}, {portAt(analysis.rig, link.from)?.name}</Table.Cell>
              <Table.Cell>{analysis.rig.devices[link.to.deviceId]?.name}, {portAt(analysis.rig, link.to)?.name}</Table.Cell>
              <Table.Cell>{CABLES[link.cable.kind].name}</Table.Cell>
              <Table.Cell className="figures" fontSize="13px" whiteSpace="nowrap">{link.cable.lengthM} m</Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
};
