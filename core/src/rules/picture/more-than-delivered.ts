import { nameOf } from '../../passes/names';
import { framings, pictureSources } from '../../passes/framing';
import type { Measured } from '../../passes/measured';
import { parseFormat } from '../../units';
import { atStage } from '../about';
import { pictureRule } from '../rule-of';

/** The largest picture that is delivered, whichever way up. */
const largest = (measured: Measured): number =>
  Math.max(
    0,
    ...Object.values(measured.rig.brief?.deliverables ?? {}).map(({ format }) =>
      format === null ? 0 : Math.min(parseFormat(format).width, parseFormat(format).height),
    ),
  );

export const moreThanDelivered = pictureRule(
  'picture.more-than-delivered',
  {
    looksFor:
      'A camera that sends a larger picture than anything that is delivered, with no cut into it planned.',
    why: 'It loads every link, drive and processor on the way, and nobody sees it.',
    remedy: 'Send the size that is delivered, or plan the cut.',
    source: 'handbook 3-picture: no point in a camera better than the stream',
  },
  (measured) => {
    const delivered = largest(measured);
    // Under 1080p everywhere the school's own rule says it.
    if (delivered === 0 || measured.rig.houseRules.captureSize === '1080p everywhere') return [];
    const cut = new Set(
      framings(measured)
        .filter(({ shot }) => shot.punchIn > 1)
        .map(({ shot }) => shot.deviceId),
    );
    return pictureSources(measured)
      .filter(
        (stage) =>
          stage.at.links.length > 0 &&
          !cut.has(stage.at.device.id) &&
          (measured.picture[stage.index]?.format?.height ?? 0) > delivered,
      )
      .map((stage) => ({
        level: 'note',
        about: atStage(stage, { deviceId: stage.at.device.id, portId: stage.at.id }),
        title: 'Larger than anything delivered',
        says:
          `${nameOf(measured, stage.at)} sends ${measured.picture[stage.index]?.format?.height ?? 0} ` +
          `lines and at most ${delivered} are delivered. Send less, or plan a cut into it.`,
      }));
  },
);
