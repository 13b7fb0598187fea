import { isTrack, keepsTracks } from '../../passes/coverage/recordings';
import { inOrder } from '../../rig';
import { houseRule, one, voiceThreads } from './house-rule';

export const cutSchool = houseRule(
  'cut',
  'brief.tracks',
  {
    looksFor: 'A voice without a track of its own where the school is to edit.',
    why: 'Two people who laugh at once cannot be taken apart in a mix.',
    remedy: 'Record a track per voice, or choose the school of one take.',
  },
  (measured) => {
    if (measured.rig.houseRules.cut === 'one take') return [];
    return inOrder(measured.rig.people)
      .filter(([, { isHeard }]) => isHeard)
      .flatMap(([id, person]) => {
        const threads = voiceThreads(measured, id);
        const [first] = threads;
        return !first || threads.some((thread) => keepsTracks(thread.end.device) && isTrack(thread))
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
