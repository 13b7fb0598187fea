import type { PortNode } from '../../graph';
import { keepsTracks, tracksOnly } from '../../passes/coverage/recordings';
import { indexed } from '../../passes/coverage/threads';
import type { Measured } from '../../passes/measured';
import { inOrder } from '../../rig';
import { houseRule, one, voiceThreads } from './house-rule';

/** Sources that have a file or a track of their own somewhere. */
const sourcesWithTracks = (measured: Measured): ReadonlySet<PortNode> =>
  new Set(
    [...tracksOnly(indexed(measured)).byEnd].flatMap(([node, threads]) =>
      keepsTracks(node) ? threads.map(({ source }) => source) : [],
    ),
  );

export const cutSchool = houseRule(
  'cut',
  'brief.tracks',
  {
    together: (count) => `${count} voices have no file of their own`,
    looksFor: 'A voice without a track of its own where the school is to edit.',
    why: 'Two people who laugh at once cannot be taken apart in a mix.',
    remedy: 'Record a track per voice, or choose the school of one take.',
  },
  (measured) => {
    if (measured.rig.houseRules.cut === 'one take') return [];
    const tracked = sourcesWithTracks(measured);
    return inOrder(measured.rig.people)
      .filter(([, { isHeard }]) => isHeard)
      .flatMap(([id, person]) => {
        const threads = voiceThreads(measured, id);
        const [first] = threads;
        return !first || threads.some(({ source }) => tracked.has(source))
          ? []
          : [
              one(
                'warn',
                first.source.device,
                `${person.name} has no track`,
                `${person.name}’s voice is recorded in no file of its own, and the show is to be ` +
                  'edited. Add a recording with a track per voice.',
              ),
            ];
      });
  },
);
