import type { Fix } from '../../edits/fix';
import { pictureSources } from '../../passes/framing';
import { keptPixels } from '../../passes/framing/kept';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { type Deliverable, entry, inOrder } from '../../rig';
import { parseFormat } from '../../units';
import { pictureRule } from '../rule-of';

/** Upright pictures that are cut out of lying ones with fewer pixels than they need. */
const enlarged = (
  measured: Measured,
): { id: string; deliverable: Deliverable; times: number; height: number }[] => {
  // What is cut out of is what was recorded, not what the camera once had.
  const kept = [...keptPixels(measured).values()].map(({ heightPx }) => heightPx);
  const sent = pictureSources(measured).flatMap(({ at, index }) =>
    at.links.length > 0 ? (measured.picture[index]?.format?.height ?? []) : [],
  );
  const height = Math.max(0, ...(kept.length > 0 ? kept : sent));
  return height === 0
    ? []
    : inOrder(measured.rig.brief?.deliverables ?? {}).flatMap(([id, deliverable]) => {
        const format = deliverable.format === null ? null : parseFormat(deliverable.format);
        return format && format.height > format.width && format.height > height
          ? [{ id, deliverable, times: format.height / height, height }]
          : [];
      });
};

export const uprightEnlarged = pictureRule(
  'picture.upright-enlarged',
  {
    looksFor:
      'An upright clip that is cut out of lying pictures with fewer lines than the clip has.',
    why: 'A strip cut upright out of 1080 lines has to be enlarged 1.78 times to fill 1920.',
    remedy: 'Capture larger, turn a camera upright, or deliver the clip smaller.',
    source: 'handbook 3-picture: punch-in; above it is upscaling',
  },
  (measured) =>
    enlarged(measured).map(({ id, deliverable, times, height }) => ({
      level: 'note',
      about: { kind: 'coverage line', line: `deliverable:${id}:delivered` },
      title: `${deliverable.name} enlarged ${figure(times, 2)}×`,
      says:
        `${deliverable.name} is cut upright out of pictures of ${height} lines and enlarged ` +
        `${figure(times, 2)} times. Capture larger, turn a camera upright, or deliver it ` +
        'smaller.',
    })),
  {
    sums: (measured, { about }) =>
      enlarged(measured)
        .filter(({ id }) => about.line === `deliverable:${id}:delivered`)
        .map(({ times, deliverable, height }) => ({
          label: 'Enlarged',
          formula: 'delivered height ÷ recorded height',
          inputs: [
            {
              name: 'delivered',
              value: parseFormat(deliverable.format ?? '1080x1920p30').height,
              unit: 'px',
            },
            { name: 'captured', value: height, unit: 'px' },
          ],
          result: times,
          unit: '×',
          source: 'handbook 3-picture',
        })),
    fixes: (measured, { about }): Fix[] =>
      enlarged(measured)
        .filter(({ id }) => about.line === `deliverable:${id}:delivered`)
        .flatMap(({ id, deliverable, height }) => {
          const width = 2 * Math.floor((height * 9) / 32);
          const present = entry(measured.rig.brief?.deliverables ?? {}, id)?.format;
          const rate = present ? present.slice(present.indexOf('p')) : 'p30';
          return [
            {
              label: `Deliver ${deliverable.name} at ${width}×${height}`,
              command: {
                type: 'changeDeliverable',
                deliverableId: id,
                deliverable: { format: `${width}x${height}${rate}` },
              },
            },
          ];
        }),
  },
);
