import type { PortNode, Stage } from '../../graph';
import { sourceOf } from '../../graph';
import {
  BEST_THAT_FITS,
  choiceSetting,
  type Device,
  FIRST_CONNECTED,
  type PictureRoute,
} from '../../rig';
import { type Format, formatName, isSameFormat, parseFormat, streamMBps } from '../../units';
import type { Measured } from '../measured';
import type { Negotiation, PictureFigures, Pictures } from '../figures/picture';
import { negotiate } from './negotiate';
import { payloadAt, screenFormat, stopOnLink } from './on-link';
import { bitsPerPixel, codingSetting, flag, formatSetting, unpowered } from './settings';

export type * from '../figures/picture';

const stream = (
  device: Device,
  control: string,
  format: Format | null,
): Pick<PictureFigures, 'encoding' | 'streamMBps'> => {
  const coded = bitsPerPixel(device, control);
  return {
    encoding: coded?.encoding ?? null,
    streamMBps: coded && format ? streamMBps(format, coded.bits) : null,
  };
};

/** Whether a source chooses for itself what it sends. */
export const sendsBest = (measured: Measured, { port, device }: PortNode): boolean => {
  const picture = port.emits?.picture;
  return (
    picture !== undefined &&
    [picture.formatControl, picture.codingControl].some(
      (control) =>
        control !== undefined && choiceSetting(measured.device(device), control) === BEST_THAT_FITS,
    )
  );
};

/** The same figures where nothing changes: thousands of stages share them. */
const withoutPayload = (before: PictureFigures): PictureFigures =>
  before.payloadGbps === null ? before : { ...before, payloadGbps: null };

const overLink = (measured: Measured, before: PictureFigures, stage: Stage): PictureFigures => {
  if (before.format === null || stage.at.port.family !== 'picture' || stage.via.by !== 'link')
    return withoutPayload(before);
  const format = screenFormat(measured, stage.via.link, before.format, before.coding);
  const payloadGbps = payloadAt(stage.at, format, before.coding);
  return {
    ...before,
    format,
    payloadGbps,
    stop: before.stop ?? stopOnLink(measured, stage.via.link, format, payloadGbps),
  };
};

/**
 * One run of the pass. A figure may need that of another source (a switcher at the format of its
 * first input), so each is found when asked for.
 */
class PicturePass {
  readonly figures: (PictureFigures | undefined)[];
  readonly negotiations = new Map<number, Negotiation>();
  private arrivals: Map<PortNode, Stage> | null = null;
  private readonly asking = new Set<PortNode>();

  private readonly stages: readonly Stage[];
  private readonly chosen: Format;

  constructor(private readonly measured: Measured) {
    this.stages = measured.traced.stages;
    this.chosen = parseFormat(measured.rig.houseRules.chosenFormat);
    this.figures = new Array<PictureFigures | undefined>(this.stages.length);
  }

  run(): Pictures {
    for (const stage of this.stages) if (stage.signal === 'picture') this.at(stage);
    return { figures: this.figures, negotiations: this.negotiations };
  }

  /**
   * Figures at a stage, computed once. Parents stand before their children, so this goes deep only
   * where one source waits for another.
   */
  private at(stage: Stage): PictureFigures | undefined {
    const known = this.figures[stage.index];
    if (known) return known;
    const figures = this.compute(stage);
    this.figures[stage.index] = figures;
    return figures;
  }

  private compute(stage: Stage): PictureFigures | undefined {
    if (stage.via.by === 'source') return this.atSource(stage);
    const before = stage.parent ? this.at(stage.parent) : undefined;
    return (
      before &&
      (stage.via.by === 'link'
        ? overLink(this.measured, before, stage)
        : this.throughRoute(before, stage))
    );
  }

  private atSource(stage: Stage): PictureFigures | undefined {
    const source = stage.at.port.emits?.picture;
    if (!source) return undefined;
    const device = this.measured.device(stage.at.device);
    const best = sendsBest(this.measured, stage.at)
      ? this.negotiated(stage, source.formatControl)
      : null;
    const format = best?.format ?? formatSetting(device, source.formatControl);
    return {
      format,
      coding: best?.coding ?? codingSetting(device, source.codingControl),
      payloadGbps: null,
      ...(source.encodingControl
        ? stream(device, source.encodingControl, format)
        : { encoding: null, streamMBps: null }),
      clean: flag(device, source.clean),
      copyProtected: flag(device, source.copyProtected),
      stop: null,
    };
  }

  /** The best that fits; where only the pixels are to be chosen, of the format that is set. */
  private negotiated(stage: Stage, formatControl: string): Negotiation | null {
    const told = formatSetting(this.measured.device(stage.at.device), formatControl);
    const negotiation = negotiate(
      this.measured,
      stage,
      (at) => this.houseOf(at, stage),
      told ?? this.chosen,
      told,
    );
    if (negotiation && stage.at.links.length > 0) this.negotiations.set(stage.index, negotiation);
    return negotiation;
  }

  /** The house format behind a stage's route, for a source that is still choosing. */
  private houseOf(stage: Stage, source: Stage): Format | null | 'own' {
    const does = stage.via.by === 'route' ? stage.via.route.route.picture : undefined;
    if (does?.does !== 'house format') return null;
    const first = this.firstConnected(stage, does);
    if (!first) return formatSetting(this.measured.device(stage.at.device), does.formatControl);
    return sourceOf(first) === source ? 'own' : (this.ask(first)?.format ?? null);
  }

  /** The stage that decides the house format of a device that follows its first input; null where it does not. */
  private firstConnected(
    stage: Stage,
    does: Extract<PictureRoute, { does: 'house format' }>,
  ): Stage | null {
    const { device } = stage.at;
    if (
      stage.via.by !== 'route' ||
      choiceSetting(this.measured.device(device), does.formatControl) !== FIRST_CONNECTED
    )
      return null;
    for (const portId of stage.via.route.route.from) {
      const port = device.ports.get(portId);
      if (port && port.links.length > 0) return this.arrivedAt(port) ?? null;
    }
    return null;
  }

  private arrivedAt(port: PortNode): Stage | undefined {
    if (!this.arrivals) {
      this.arrivals = new Map();
      for (const stage of this.stages)
        if (stage.signal === 'picture' && stage.via.by === 'link' && !this.arrivals.has(stage.at))
          this.arrivals.set(stage.at, stage);
    }
    return this.arrivals.get(port);
  }

  /** Figures of another source; undefined where two wait for each other. */
  private ask(stage: Stage): PictureFigures | undefined {
    if (this.asking.has(stage.at)) return undefined;
    this.asking.add(stage.at);
    const figures = this.at(stage);
    this.asking.delete(stage.at);
    return figures;
  }

  private throughRoute(before: PictureFigures, stage: Stage): PictureFigures {
    if (stage.via.by !== 'route' || !stage.via.route.route.picture) return before;
    const does = stage.via.route.route.picture;
    const device = this.measured.device(stage.at.device);
    if (before.stop)
      return before.format === null && before.payloadGbps === null
        ? before
        : { ...before, format: null, payloadGbps: null };
    if (unpowered(device))
      return {
        ...before,
        format: null,
        payloadGbps: null,
        stop: {
          by: 'no supply',
          says: `${device.name} has no power: its own supply is not plugged in`,
        },
      };
    if (does.does === 'pass' || before.format === null) return withoutPayload(before);
    if (does.does === 'capture') {
      const format = formatSetting(device, does.formatControl) ?? before.format;
      return {
        ...before,
        format,
        coding: null,
        payloadGbps: null,
        ...stream(device, does.encodingControl, format),
      };
    }
    const first = this.firstConnected(stage, does);
    const house =
      (first ? this.ask(first)?.format : formatSetting(device, does.formatControl)) ??
      before.format;
    if (!does.scaler && !isSameFormat(house, before.format))
      return {
        ...before,
        format: null,
        payloadGbps: null,
        stop: {
          by: 'no scaler',
          says:
            `${device.name} runs at ${formatName(house)} and this input has no scaler for ` +
            `${formatName(before.format)}`,
        },
      };
    if (
      before.format === house &&
      before.streamMBps === null &&
      before.encoding === null &&
      before.coding === null
    )
      return withoutPayload(before);
    // Inside a program the picture is no longer a stream on a cable, and a switcher writes its own pixels.
    return {
      ...before,
      format: house,
      coding: null,
      payloadGbps: null,
      streamMBps: null,
      encoding: null,
    };
  }
}

/** The picture pass: what every picture thread carries at every stage, sources that choose for themselves included. */
export const picturePass = (measured: Measured): Pictures => new PicturePass(measured).run();
