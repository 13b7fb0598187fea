import { create } from 'zustand';

/** What can be pressed before the rig is open. */
export type Press = 'undo' | 'redo' | 'commands' | 'keys';

/** A key that a view may answer to, as it was pressed. */
export type Key = Pick<KeyboardEvent, 'key' | 'code' | 'shiftKey'>;

interface Pressed {
  readonly waiting: readonly Press[];
  readonly press: (what: Press) => void;
  /** What waits, once: whoever takes it does it */
  readonly take: () => readonly Press[];
  readonly keys: readonly Key[];
  readonly pressKey: (key: Key) => void;
  /** The keys that wait, once */
  readonly takeKeys: () => readonly Key[];
}

/** What was pressed while a rig was being opened: kept, said, and done once it is. */
export const usePressed = create<Pressed>((set, get) => ({
  waiting: [],
  press: (what) => set(({ waiting }) => ({ waiting: [...waiting, what] })),
  take: () => {
    const { waiting } = get();
    set({ waiting: [] });
    return waiting;
  },
  keys: [],
  pressKey: (key) => set(({ keys }) => ({ keys: [...keys, key] })),
  takeKeys: () => {
    const { keys } = get();
    set({ keys: [] });
    return keys;
  },
}));
