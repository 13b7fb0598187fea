import type { PortNode } from '../../graph';
import type { Measured } from '../../passes/measured';
import type { SimpleCommand } from '../../rig';

/** Plugged outputs that need phantom power, or that it can harm. */
export const phantomOutputs = (measured: Measured, which: 'needs' | 'harmed'): PortNode[] =>
  measured.graph.ports.filter(
    ({ port, links }) =>
      port.family === 'analogue' &&
      links.length > 0 &&
      (which === 'needs' ? port.phantomNeedMa !== undefined : port.phantomHarms === true),
  );

export const switchOn = (deviceId: string, control: string): SimpleCommand => ({
  type: 'setControl',
  deviceId,
  control,
  value: true,
});
export const switchOff = (deviceId: string, control: string): SimpleCommand => ({
  type: 'setControl',
  deviceId,
  control,
  value: false,
});
