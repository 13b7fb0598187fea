/** Sizes of what stands on the loom. @unit px */

export const PEG_WIDTH = 92;
export const PEG_HEIGHT = 32;
export const BAR_WIDTH = 36;
export const ROW_HEIGHT = 42;
export const GROUP_HEIGHT = 30;
/** Between columns: room for a reading and a bend, so that readings never meet pegs */
export const GUTTER = 69;
export const READING_WIDTH = 56;
export const LANE_GAP = 18;
export const MARGIN = 12;
export const HEADER = 30;
/** Between threads that leave one box */
export const OUT_PITCH = 22;
