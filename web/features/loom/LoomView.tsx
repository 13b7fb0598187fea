'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useCallback, useDeferredValue, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { AddDevice } from '@/features/menu/AddDevice';
import { Connect } from '@/features/menu/Connect';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { SideSheet } from '@/features/sheet/SideSheet';
import { LoomBar } from './LoomBar';
import { LoomChart } from './LoomChart';
import { READINGS } from './readings';
import { useLayout } from './useLayout';
import { itemOf, sameItem, useLoomView, type Item } from './view';

/** The home view of a rig: a chart to read, from source to destination, with its findings in their places. */
export const LoomView = () => {
  const { run, store } = useRigSession();
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
  const layout = useLayout(analysis, view.grouping, view.folded);
  const chart = useRef<HTMLDivElement>(null);

  const shown: Item | null =
    selected &&
    (selected.kind === 'device'
      ? analysis.graph.devices.has(selected.id)
      : analysis.graph.links.has(selected.id))
      ? selected
      : null;
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
  const stepFinding = useCallback(
    (by: 1 | -1) => {
      const now = store.getState().analysis;
      const items = now.findings
        .map((finding) => itemOf(now, finding))
        .filter((item): item is Item => item !== null);
      const distinct = items.filter(
        (item, index) => items.findIndex((other) => sameItem(item, other)) === index,
      );
      const here = distinct.findIndex((item) => sameItem(item, useLoomView.getState().selected));
      const next =
        distinct[
          here < 0
            ? by === 1
              ? 0
              : distinct.length - 1
            : (here + by + distinct.length) % distinct.length
        ];
      if (next) {
        select(next);
        setSheet(({ opening }) => ({ open: true, opening }));
      }
    },
    [select, store],
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

  useHotkeys('a', () => open('add'), { preventDefault: true });
  useHotkeys('c', connectSelected, { preventDefault: true });
  useHotkeys('delete', remove);
  useHotkeys(['[', 'bracketleft'], () => stepFinding(-1), { useKey: true });
  useHotkeys([']', 'bracketright'], () => stepFinding(1), { useKey: true });
  useHotkeys('1,2,3,4,5', (event) => {
    const reading = READINGS[Number(event.key) - 1];
    if (reading) view.setReading(reading);
  });

  const isEmpty = analysis.graph.devices.size === 0;
  return (
    <>
      <LoomBar
        grouping={layout.grouping}
        onConnect={connectSelected}
        onStep={stepFinding}
        hasFindings={analysis.findings.length > 0}
      />
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
        ) : (
          <LoomChart
            analysis={analysis}
            layout={layout}
            reading={view.reading}
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
