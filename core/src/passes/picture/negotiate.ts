import type { Stage } from '../../graph';
import { BEST_THAT_FITS, choiceSetting, type Coding, CODINGS, entry } from '../../rig';
import type { Candidate, Negotiation, Obstacle } from '../figures/picture';
import type { Measured } from '../measured';
import {
  type Format,
  FORMAT_PATTERN,
  formatName,
  isSameFormat,
  nearMissRate,
  parseFormat,
  rateToHz,
  sameRate,
} from '../../units';
import { beyondReach, payloadAt, stopOnLink } from './on-link';

/**
 * How well a rate suits a programme: the same, a whole part or multiple of it, near it, anything
 * else. Lower is better.
 */
const rateMisfit = (format: Format, chosen: Format): number => {
  if (sameRate(format.rate, chosen.rate)) return 0;
  const ratio = rateToHz(format.rate) / rateToHz(chosen.rate);
  const whole = Math.max(ratio, 1 / ratio);
  if (Math.abs(whole - Math.round(whole)) < 1e-9) return 1;
  return nearMissRate(format.rate, chosen.rate) ? 2 : 3;
};

const CHROMA_WORTH: Readonly<Record<Coding['chroma'], number>> = { rgb: 2, '4:2:2': 1, '4:2:0': 0 };
const codingWorth = (coding: Coding | null): number =>
  coding
    ? CHROMA_WORTH[coding.chroma] * 100 + coding.bits * 2 + (coding.range === 'limited' ? 1 : 0)
    : 0;

/**
 * Order of candidates for a chosen format, the best first: suiting rate, progressive, as large as
 * chosen but not larger, faster, more colour.
 * A size above the chosen one comes after all that are not.
 */
export const compareCandidates =
  (chosen: Format) =>
  (a: Candidate, b: Candidate): number => {
    const pixels = ({ format }: Candidate) => format.width * format.height;
    const limit = chosen.width * chosen.height;
    const isOver = (candidate: Candidate) => Number(pixels(candidate) > limit);
    return (
      isOver(a) - isOver(b) ||
      rateMisfit(a.format, chosen) - rateMisfit(b.format, chosen) ||
      Number(a.format.scan === 'i') - Number(b.format.scan === 'i') ||
      (isOver(a) ? pixels(a) - pixels(b) : pixels(b) - pixels(a)) ||
      rateToHz(b.format.rate) - rateToHz(a.format.rate) ||
      codingWorth(b.coding) - codingWorth(a.coding)
    );
  };

/** Everything a source can be set to send. @returns none for a stage that is no source of pictures */
export const candidatesOf = (measured: Measured, source: Stage): Candidate[] => {
  const picture = source.at.port.emits?.picture;
  if (!picture) return [];
  const device = measured.device(source.at.device);
  const options = (control: string): string[] => {
    const found = entry(device.model.controls, control);
    return found?.type === 'choice' ? found.options.map(({ value }) => value) : [];
  };
  const codingControl = picture.codingControl;
  const set = codingControl === undefined ? undefined : choiceSetting(device, codingControl);
  const codings =
    codingControl === undefined
      ? [null]
      : set === BEST_THAT_FITS
        ? options(codingControl).flatMap((value) => CODINGS[value] ?? [])
        : [CODINGS[set ?? ''] ?? null];
  return options(picture.formatControl)
    .filter((value) => FORMAT_PATTERN.test(value))
    .flatMap((value) => codings.map((coding) => ({ format: parseFormat(value), coding })));
};

/** The format a device without scalers runs at; `own` where it takes this very source's. */
export type HouseFormat = (stage: Stage) => Format | null | 'own';

/**
 * Everything on the way of a source that a candidate must pass: links and inputs, up to the first
 * device that makes a picture of its own.
 * @param house the house format at a
 * stage behind a device without scalers
 */
const obstacles = (
  measured: Measured,
  source: Stage,
  house: HouseFormat,
  { format, coding }: Candidate,
): Obstacle[] => {
  const { stages } = measured.traced;
  const found: Obstacle[] = [];
  const passesOn = new Set<Stage>([source]);
  for (let index = source.index + 1; index < stages.length; index++) {
    const stage = stages[index];
    if (!stage?.parent) break;
    if (!passesOn.has(stage.parent)) continue;
    if (stage.via.by === 'link') {
      const edge = stage.via.link;
      const payloadGbps = payloadAt(stage.at, format, coding);
      const says =
        stopOnLink(measured, edge, format, payloadGbps)?.says ??
        beyondReach(measured, edge, payloadGbps);
      if (says)
        found.push({ linkId: edge.id, deviceId: stage.at.device.id, portId: stage.at.id, says });
      passesOn.add(stage);
      continue;
    }
    if (stage.via.by !== 'route') continue;
    const does = stage.via.route.route.picture;
    if (does?.does === 'pass') passesOn.add(stage);
    if (does?.does !== 'house format' || does.scaler) continue;
    const runsAt = house(stage);
    if (runsAt === 'own') passesOn.add(stage);
    else if (runsAt && !isSameFormat(runsAt, format))
      found.push({
        linkId: null,
        deviceId: stage.at.device.id,
        portId: stage.parent.at.id,
        says:
          `${measured.device(stage.at.device).name} runs at ${formatName(runsAt)} and has no scaler for ` +
          `${formatName(format)}`,
      });
  }
  return found;
};

/** Obstacles told once each, however many ways lead past them. */
const once = (list: readonly Obstacle[]): Obstacle[] => [
  ...new Map(
    list.map((obstacle) => [
      `${obstacle.linkId} ${obstacle.deviceId} ${obstacle.portId}`,
      obstacle,
    ]),
  ).values(),
];

/**
 * The best of what a source can send that everything on its way takes.
 * @param told the format it is told to send, where only the pixels are to be chosen
 * @returns null where it offers nothing
 */
export const negotiate = (
  measured: Measured,
  source: Stage,
  house: HouseFormat,
  chosen: Format,
  told: Format | null = null,
): Negotiation | null => {
  const ranked = candidatesOf(measured, source)
    .filter(({ format }) => told === null || isSameFormat(format, told))
    .sort(compareCandidates(chosen));
  const [wish] = ranked;
  if (!wish) return null;
  const forcedBy = once(obstacles(measured, source, house, wish));
  if (forcedBy.length === 0) return { ...wish, wish, forcedBy, fits: true };
  let least = { candidate: wish, count: forcedBy.length };
  for (const candidate of ranked.slice(1)) {
    const count = once(obstacles(measured, source, house, candidate)).length;
    if (count === 0) return { ...candidate, wish, forcedBy, fits: true };
    if (count < least.count) least = { candidate, count };
  }
  return { ...least.candidate, wish, forcedBy, fits: false };
};
