import { useHotkeys } from 'react-hotkeys-hook';
import { READINGS } from '@/features/chosen/readings';
import type { useZoom } from './useZoom';
import { useLoomView } from '@/features/chosen/view';

interface Keys {
  readonly zooming: ReturnType<typeof useZoom>;
  readonly connect: () => void;
  readonly remove: () => void;
  readonly stepFinding: (by: 1 | -1) => void;
  readonly turnFilter: () => void;
}

/** The keys of the loom, beside those that work everywhere. */
export const useLoomKeys = ({ zooming, connect, remove, stepFinding, turnFilter }: Keys): void => {
  const open = useLoomView((view) => view.open);
  const setReading = useLoomView((view) => view.setReading);
  useHotkeys('a', () => open('add'), { preventDefault: true });
  useHotkeys('c', connect, { preventDefault: true });
  useHotkeys('f', turnFilter);
  useHotkeys('delete', remove);
  useHotkeys(['[', 'bracketleft'], () => stepFinding(-1), { useKey: true });
  useHotkeys([']', 'bracketright'], () => stepFinding(1), { useKey: true });
  // By what is written, not by where the key lies: plus is elsewhere on every keyboard.
  useHotkeys('*', ({ key, ctrlKey, metaKey, altKey }) => {
    if (ctrlKey || metaKey || altKey) return;
    if (key === '+' || key === '=') zooming.nearer();
    if (key === '-') zooming.farther();
    if (key === '0') zooming.fit();
  });
  useHotkeys('1,2,3,4,5', ({ key }) => {
    const reading = READINGS[Number(key) - 1];
    if (reading) setReading(reading);
  });
};
