'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { AddDevice } from '@/features/adding/AddDevice';
import { Connect } from '@/features/adding/Connect';
import { PointingDialogs } from '@/features/pointing/PointingDialogs';
import { PointingLayer } from '@/features/pointing/PointingLayer';
import { useDrag } from '@/features/pointing/useDrag';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { SideSheet } from '@/features/sheet/SideSheet';
import { Dock } from './Dock';
import { FilterBar } from './FilterBar';
import { LoomBar } from './LoomBar';
import { LoomChart } from './LoomChart';
import { OnPaper } from './paper/OnPaper';
import { READING_UNITS } from '@/features/chosen/readings';
import { isFiltered } from '@/features/chosen/filter';
import { shownBy } from './shown';
import { useFindingSteps } from './useFindingSteps';
import { useLoomKeys } from './useLoomKeys';
import { useLayout } from './useLayout';
import { useThread } from './useThread';
import { useZoom } from './useZoom';
import { useLoomView, type Item } from '@/features/chosen/view';
import { WayLine } from './WayLine';

/** The home view of a rig: a chart to read, from source to destination, with its findings in their places. */
export const LoomView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const view = useLoomView();
  const { selected, select, dialog, open } = view;
  const [sheet, setSheet] = useState<{ open: boolean; opening: number }>({
    open: false,
    opening: 0,
  });
  const [connectFrom, setConnectFrom] = useState<{
    deviceId: string | null;
    portId: string | null;
  }>({ deviceId: null, portId: null });
  const shownThreads = useMemo(() => shownBy(analysis, view.filter), [analysis, view.filter]);
  const layout = useLayout(analysis, view.grouping, view.folded, shownThreads);
  const [isFiltering, setFiltering] = useState(() => isFiltered(view.filter));
  const chart = useRef<HTMLDivElement>(null);
  const scroll = useRef<HTMLDivElement>(null);
  const zooming = useZoom(scroll, layout);
  const line = useRef<SVGLineElement>(null);
  useDrag({ around: chart, scroll, line, layout });

  const shown: Item | null =
    selected &&
    (selected.kind === 'device'
      ? analysis.graph.devices.has(selected.id)
      : analysis.graph.links.has(selected.id))
      ? selected
      : null;
  const chosen = useThread(analysis, shown);
  // The chart is drawn first: the sheet beside it may follow an instant later.
  const later = useDeferredValue(analysis);
  const openSheet = useCallback(
    (item: Item) => {
      select(item);
      setSheet(({ opening }) => ({ open: true, opening: opening + 1 }));
    },
    [select],
  );
  const closeSheet = useCallback(() => {
    setSheet(({ opening }) => ({ open: false, opening }));
    const item = useLoomView.getState().selected;
    if (item)
      requestAnimationFrame(() =>
        chart.current
          ?.querySelector<HTMLElement>(`[data-item="${CSS.escape(`${item.kind}:${item.id}`)}"]`)
          ?.focus(),
      );
  }, []);
  const connect = useCallback(
    (portId: string | null) => {
      const item = useLoomView.getState().selected;
      setConnectFrom({ deviceId: item?.kind === 'device' ? item.id : null, portId });
      open('connect');
    },
    [open],
  );
  const connectSelected = useCallback(() => connect(null), [connect]);
  const stepFinding = useFindingSteps(
    useCallback(
      (item: Item) => {
        select(item);
        setSheet(({ opening }) => ({ open: true, opening }));
      },
      [select],
    ),
  );
  const remove = () => {
    if (!shown) return;
    if (
      run(
        shown.kind === 'device'
          ? { type: 'removeDevice', deviceId: shown.id }
          : { type: 'disconnect', linkId: shown.id },
      )
    )
      select(null);
  };

  useLoomKeys({
    zooming,
    connect: connectSelected,
    remove,
    stepFinding,
    turnFilter: () => setFiltering((is) => !is),
  });

  const isEmpty = analysis.graph.devices.size === 0;
  return (
    <>
      <LoomBar
        grouping={layout.grouping}
        onConnect={connectSelected}
        onStep={stepFinding}
        hasFindings={analysis.findings.length > 0}
        isFiltering={isFiltering}
        onFilter={() => setFiltering(!isFiltering)}
      />
      {(isFiltering || shownThreads !== null) && (
        <FilterBar analysis={analysis} threads={shownThreads?.threads ?? null} />
      )}
      <Flex flex="1" minH="0" position="relative" ref={chart}>
        {isEmpty ? (
          <Box m="auto" textAlign="center" maxW="42ch" p="6">
            <Text fontWeight="600" fontSize="lg">
              This rig is empty.
            </Text>
            <Text mt="1" mb="4">
              Begin with what makes the picture or the sound: a camera, a microphone. Then connect
              it onward until it reaches a stream or a recording.
            </Text>
            <Button bg="madder" color="madder.ink" onClick={() => open('add')}>
              Add a device
            </Button>
          </Box>
        ) : layout.nodes.length === 0 ? (
          <Text m="auto" p="6">
            No thread is left. Choose fewer conditions, or show all.
          </Text>
        ) : (
          <LoomChart
            analysis={analysis}
            layout={layout}
            reading={view.reading}
            lit={chosen.lit}
            scroll={scroll}
            onOpen={openSheet}
          />
        )}
        {sheet.open && shown && (
          <SideSheet
            analysis={later}
            item={shown}
            opening={sheet.opening}
            onClose={closeSheet}
            onConnect={connect}
          />
        )}
      </Flex>
      {!isEmpty && (
        <Dock
          layout={layout}
          scroll={scroll}
          zooming={zooming}
          paper={<OnPaper analysis={analysis} layout={layout} reading={view.reading} />}
        >
          {chosen.threads.length === 0 ? (
            <Text fontSize="xs" color="ink.soft" display={{ base: 'none', md: 'block' }}>
              {view.reading}: {READING_UNITS[view.reading]}. A source or a cable chooses its thread.
            </Text>
          ) : (
            <WayLine
              analysis={analysis}
              threads={chosen.threads}
              at={chosen.at}
              onStep={chosen.step}
              reading={view.reading}
              onPick={openSheet}
            />
          )}
        </Dock>
      )}
      <PointingLayer analysis={analysis} line={line} />
      <PointingDialogs analysis={analysis} />
      {dialog === 'add' && <AddDevice rig={analysis.rig} onClose={() => open(null)} />}
      {dialog === 'connect' && (
        <Connect
          analysis={analysis}
          deviceId={connectFrom.deviceId}
          portId={connectFrom.portId}
          onClose={() => {
            open(null);
            setConnectFrom({ deviceId: null, portId: null });
          }}
        />
      )}
    </>
  );
};
