import { create } from 'zustand';

/** What can be pressed before the rig is open. */
export type Press = 'undo' | 'redo' | 'commands' | 'keys';

interface Pressed {
  readonly waiting: readonly Press[];
  readonly press: (what: Press) => void;
  /** What waits, once: whoever takes it does it */
  readonly take: () => readonly Press[];
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
}));
