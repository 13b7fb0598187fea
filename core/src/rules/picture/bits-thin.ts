import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { type Deliverable, inOrder } from '../../rig';
import {
  deliveredBitsPerPixel,
  formatName,
  parseFormat,
  pixelsPerSecond,
  rateToHz,
} from '../../units';
import { pictureRule } from '../rule-of';

/** Under this a common 8-bit codec is noted, under the other it is seen. @source handbook 3-picture */
const THIN = 0.05;
const TOO_THIN = 0.03;

/**
 * Bits that a codec needs for the same picture, of those of the common one. @source handbook
 * 3-picture, codecs differ
 */
const SHARE_OF_BITS = { AVC: 1, HEVC: 0.6, AV1: 0.5 } as const;

const thin = (measured: Measured): { id: string; deliverable: Deliverable; bits: number }[] =>
  inOrder(measured.rig.brief?.deliverables ?? {}).flatMap(([id, deliverable]) => {
    const { format, bitrateMbps, codec } = deliverable;
    if (format === null || bitrateMbps === null || codec === 'intra-frame' || codec === 'PCM')
      return [];
    // A newer codec does with fewer bits what the common one needs.
    const bits = deliveredBitsPerPixel(parseFormat(format), bitrateMbps) / SHARE_OF_BITS[codec];
    return bits < THIN ? [{ id, deliverable, bits }] : [];
  });

export const bitsThin = pictureRule(
  'picture.bits-thin',
  {
    looksFor: 'A stream or file whose bitrate leaves fewer than 0.05 bits for each pixel.',
    why: 'Hands, steam and clay turn to mush when they move; a smaller picture would look better.',
    remedy: 'Raise the bitrate, or deliver a smaller or slower picture.',
    source: 'handbook 3-picture: bitrate ÷ (w × h × fps)',
  },
  (measured) =>
    thin(measured).map(({ id, deliverable, bits }) => ({
      level: bits < TOO_THIN ? 'warn' : 'note',
      about: { kind: 'coverage line', line: `deliverable:${id}:delivered` },
      title: `${figure(bits, 3)} bits a pixel in ${deliverable.name}`,
      says:
        `${deliverable.name} has ${figure(bits, 3)} bits for each pixel of ` +
        `${formatName(parseFormat(deliverable.format ?? '1920x1080p30'))}. ` +
        `${bits < TOO_THIN ? 'Movement falls apart.' : 'Fine detail in movement is lost.'} ` +
        'A better camera changes nothing that can be seen in it: first the bitrate, then the light. ' +
        'Raise the bitrate, or deliver a smaller picture.',
    })),
  {
    sums: (measured, { about }) =>
      thin(measured)
        .filter(({ id }) => about.line === `deliverable:${id}:delivered`)
        .map(({ deliverable, bits }) => {
          const format = parseFormat(deliverable.format ?? '1920x1080p30');
          return {
            label: 'Bits a pixel',
            formula: 'bitrate ÷ (width × height × frames/s)',
            inputs: [
              { name: 'bitrate', value: deliverable.bitrateMbps ?? 0, unit: 'Mb/s' },
              { name: 'width', value: format.width, unit: 'px' },
              { name: 'height', value: format.height, unit: 'px' },
              { name: 'frames/s', value: rateToHz(format.rate), unit: '' },
            ],
            result: bits,
            unit: 'bit',
            source: 'handbook 3-picture',
          };
        }),
    fixes: (measured, { about }): Fix[] =>
      thin(measured)
        .filter(({ id }) => about.line === `deliverable:${id}:delivered`)
        .map(({ id, deliverable }) => {
          const bitrateMbps =
            Math.ceil(
              (pixelsPerSecond(parseFormat(deliverable.format ?? '1920x1080p30')) * THIN) / 1e5,
            ) / 10;
          return {
            label: `Deliver ${deliverable.name} at ${bitrateMbps} Mb/s`,
            command: { type: 'changeDeliverable', deliverableId: id, deliverable: { bitrateMbps } },
          };
        }),
  },
);
