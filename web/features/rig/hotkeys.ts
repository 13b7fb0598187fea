import { useHotkeys } from 'react-hotkeys-hook';
import type { Press } from './pressed';

/** Letters typed into a field are text, not commands; Ctrl with a letter is a command everywhere. */
const EVERYWHERE = { enableOnFormTags: true, preventDefault: true } as const;

/** In a text field undo belongs to the text; in a list, a box to tick or a choice it belongs to the rig. */
const isText = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && target.type !== 'radio' && target.type !== 'checkbox');
const OUTSIDE_TEXT = {
  enableOnFormTags: true,
  preventDefault: true,
  ignoreEventWhen: isText,
} as const;

/** The keys that work in every view. */
export const useFrameKeys = (press: (what: Press) => void): void => {
  useHotkeys('mod+k', () => press('commands'), EVERYWHERE);
  useHotkeys('mod+z', () => press('undo'), OUTSIDE_TEXT);
  useHotkeys('mod+shift+z, mod+y', () => press('redo'), OUTSIDE_TEXT);
  useHotkeys('shift+slash, ?', () => press('keys'), { useKey: true });
};
