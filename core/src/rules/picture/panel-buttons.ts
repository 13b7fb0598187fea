import type { Measured } from '../../passes/measured';
import { inOrder, type PanelButton } from '../../rig';

/** Buttons of the panel in their order. */
export const buttons = (measured: Measured): [string, PanelButton][] =>
  inOrder(measured.rig.panel.buttons);
