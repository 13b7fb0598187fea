import { compile, type Graph, trace, type Traced } from '../graph';
import type { Rig } from '../rig';
import { usbPass, type UsbTree } from './computer';
import { type Negotiation, type PictureFigures, picturePass } from './picture';
import { type SoundFigures, soundPass } from './sound';
import { type Delay, timePass } from './time';

/** The rig with every figure computed, before anything is judged. Arrays are by stage index. */
export interface Measured {
  readonly rig: Rig;
  readonly graph: Graph;
  readonly traced: Traced;
  readonly picture: readonly (PictureFigures | undefined)[];
  /** What sources that send the best that fits agreed on, by the index of their first stage */
  readonly negotiations: ReadonlyMap<number, Negotiation>;
  readonly sound: readonly (SoundFigures | undefined)[];
  readonly delay: readonly Delay[];
  readonly usb: UsbTree;
}

/** Runs the passes in their order: graph, picture, sound, time, computer. @param rig consistent */
export const measure = (rig: Rig): Measured => {
  const graph = compile(rig);
  const traced = trace(graph);
  const { figures: picture, negotiations } = picturePass(rig, traced);
  return {
    rig,
    graph,
    traced,
    picture,
    negotiations,
    sound: soundPass(rig, graph, traced),
    delay: timePass(traced, picture),
    usb: usbPass(traced, picture),
  };
};
