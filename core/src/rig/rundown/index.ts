import { z } from 'zod';
import { anyId, anyOf, someIds } from '../chance';
import { collection } from '../collection';
import { idSchema } from '../ids';
import { entry, inOrder, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import { segmentSchema, timeOfDaySchema } from './schema';

export { blank, shape } from './shape';

/** The rundown: segments one after another, and when the first begins. */

const MAX_SEGMENTS = 500;

const segments = collection({
  key: 'segment',
  many: 'segments',
  fields: segmentSchema.omit({ order: true }),
  at: (rig) => rig.segments,
  read: (rig) => rig.segments,
  none: refusals.noSegment,
  check: (rig, { sceneId, heard }) => {
    if (sceneId) mustHave(entry(rig.scenes, sceneId), refusals.noScene(sceneId));
    for (const id of heard ?? []) mustHave(entry(rig.people, id), refusals.noPerson(id));
    if (Object.keys(rig.segments).length > MAX_SEGMENTS)
      throw refusals.tooMany('segments', MAX_SEGMENTS);
  },
  says: {
    add: ({ title }) => `Added ${title} to the rundown.`,
    change: (title, { lengthS }) =>
      lengthS === undefined ? `Changed ${title}.` : `Set the length of ${title} to ${lengthS} s.`,
    remove: (title) => `Took ${title} out of the rundown.`,
    name: ({ title }) => title,
  },
  arbitrary: (chance, rig) => ({
    title: chance.oneOf(['Hello', 'At the wheel', 'Questions', 'Goodbye']),
    lengthS: chance.integer(10, 900),
    sceneId: anyOf(chance, [null, anyId(chance, rig.scenes)]),
    heard: chance.once(2) ? null : someIds(chance, rig.people),
    cue: chance.oneOf(['', '“and now”']),
    notes: '',
  }),
});

export const commands = {
  ...segments,
  /** Puts a segment elsewhere in the order */
  moveSegment: command({
    schema: z.strictObject({
      segmentId: idSchema,
      /** How many stand before it afterwards */
      to: z.number().int().min(0).max(MAX_SEGMENTS),
    }),
    apply: (rig, { segmentId, to }) => {
      const moved = mustHave(entry(rig.segments, segmentId), refusals.noSegment(segmentId));
      const others = inOrder(rig.segments)
        .map(([, segment]) => segment)
        .filter((segment) => segment !== moved);
      others.splice(to, 0, moved);
      others.forEach((segment, order) => {
        if (segment.order !== order) segment.order = order;
      });
    },
    says: (rig, { segmentId, to }) =>
      `Moved ${entry(rig.segments, segmentId)?.title ?? segmentId} to place ${to + 1} of the rundown.`,
    arbitrary: (chance, rig) => {
      const segmentId = anyId(chance, rig.segments);
      return segmentId === null ? null : { segmentId, to: chance.integer(0, 5) };
    },
  }),
  setBeginning: command({
    schema: z.strictObject({ beginsAt: timeOfDaySchema.nullable() }),
    apply: (rig, { beginsAt }) => {
      rig.beginsAt = beginsAt;
    },
    says: (_rig, { beginsAt }) =>
      beginsAt === null ? 'The show begins whenever it begins.' : `The show begins at ${beginsAt}.`,
    arbitrary: (chance) => ({ beginsAt: chance.oneOf(['19:30', '20:00:15', null]) }),
  }),
};

export const problems = ({ segments: all, scenes, people }: Rig): Problem[] =>
  Object.entries(all).flatMap(([id, { sceneId, heard }]) => [
    ...missing(scenes, 'scene', ['segments', id, 'sceneId'], sceneId),
    ...(heard ?? []).flatMap((personId) =>
      missing(people, 'person', ['segments', id, 'heard'], personId),
    ),
  ]);

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  for (const segment of Object.values(rig.segments)) {
    if (kind === 'scene' && segment.sceneId === id) segment.sceneId = null;
    if (kind === 'person' && segment.heard?.includes(id))
      segment.heard = segment.heard.filter((one) => one !== id);
  }
};

export const limits = { segments: MAX_SEGMENTS };
