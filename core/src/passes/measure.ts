import { compile, type Graph, trace, type Traced } from '../graph';
import type { Device, Rig } from '../rig';
import { usbPass, type UsbTree } from './computer';
import type { Measured, PassOf } from './measured';
import { asResults, Results } from './pass';
import { picturePass, type Pictures } from './picture';
import { changesBetween, DevicesInOrder, nowReading, type Result, watchedRig } from './reads';
import { soundPass } from './sound';
import { timePass } from './time';

export type { Measured } from './measured';

const graph: PassOf<Graph> = {
  name: 'graph',
  make: (measured) => compile(measured.rig, measured.devices()),
};

const isSameTrace = (before: Traced, after: Traced): boolean =>
  before.stages.length === after.stages.length &&
  before.cut.size === after.cut.size &&
  before.stages.every((stage, index) => {
    const now = after.stages[index];
    return (
      now !== undefined &&
      stage.at === now.at &&
      stage.via === now.via &&
      stage.signal === now.signal &&
      stage.parent?.index === now.parent?.index
    );
  });

const traced: PassOf<Traced> = {
  name: 'traced',
  make: (measured) => trace(measured.graph, (node) => measured.device(node)),
  same: isSameTrace,
};

const PASSES = {
  graph,
  traced,
  pictures: { name: 'picture', make: picturePass } satisfies PassOf<Pictures>,
  sound: { name: 'sound', make: soundPass } satisfies PassOf<Measured['sound']>,
  delay: { name: 'time', make: timePass } satisfies PassOf<Measured['delay']>,
  usb: { name: 'usb', make: usbPass } satisfies PassOf<UsbTree>,
};
type Passes = typeof PASSES;
type ResultOf<Name extends keyof Passes> = Result<ReturnType<Passes[Name]['make']>>;

/** A rig with the results of its passes, each worked out when it is first asked for. */
export class MeasuredRig implements Measured {
  private readonly known: { [Name in keyof Passes]?: ResultOf<Name> } = {};

  constructor(
    readonly rig: Rig,
    readonly inRig: DevicesInOrder,
    readonly results: Results,
  ) {}

  device(of: { readonly id: string; readonly index?: number }): Device {
    return this.inRig.get(of);
  }

  devices(): ReadonlyMap<string, Device> {
    return this.inRig.all();
  }

  get graph(): Graph {
    return this.read((this.known.graph ??= this.results.resultOf(PASSES.graph)));
  }
  get traced(): Traced {
    return this.read((this.known.traced ??= this.results.resultOf(PASSES.traced)));
  }
  get picture(): Pictures['figures'] {
    return this.pictures.figures;
  }
  get negotiations(): Pictures['negotiations'] {
    return this.pictures.negotiations;
  }
  get sound(): Measured['sound'] {
    return this.read((this.known.sound ??= this.results.resultOf(PASSES.sound)));
  }
  get delay(): Measured['delay'] {
    return this.read((this.known.delay ??= this.results.resultOf(PASSES.delay)));
  }
  get usb(): UsbTree {
    return this.read((this.known.usb ??= this.results.resultOf(PASSES.usb)));
  }
  private get pictures(): Pictures {
    return this.read((this.known.pictures ??= this.results.resultOf(PASSES.pictures)));
  }

  private read<T>(result: Result<T>): T {
    nowReading()?.ask(result);
    return result.value;
  }
}

/**
 * What is measured of a rig; nothing is worked out before it is asked for.
 * @param rig consistent @param before an earlier measurement, of which what still holds is taken over
 */
export const measure = (rig: Rig, before?: Measured): MeasuredRig => {
  const watched = new DevicesInOrder(rig, true);
  const results = new Results(
    (own) => new MeasuredRig(watchedRig(rig, watched), watched, own),
    before && { results: asResults(before.results), changes: changesBetween(before.rig, rig) },
  );
  return new MeasuredRig(rig, new DevicesInOrder(rig, false), results);
};
