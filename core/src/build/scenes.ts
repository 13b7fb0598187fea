import type { RigDraft } from '../catalogue/draft';
import { guestsOf, isSeenGuest, type Plan, sourceId } from './plan';

/** Under a usual foot. */
const PEDAL_SWITCHES = 3;

/**
 * A scene for each picture and each guest, with a button for it on what the show is switched with, and
 * buttons that start and end what is sent and recorded, which must be held.
 */
export const addScenes = (plan: Plan): void => {
  const { draft, pictures, answers, rules } = plan;
  const isMade = answers.deliverables.some(
    (what) => what === 'stream' || what === 'programme recording' || what === 'vertical clips',
  );
  if (!isMade || rules.switching === 'none, cut later') return;
  const by = answers.brief.switchedBy;
  const all = [
    ...pictures.map((subject) => ({ id: sourceId(subject), name: subject.name })),
    ...guestsOf(plan)
      .filter(isSeenGuest)
      .map(({ id, name }) => ({ id: `${id}-call`, name })),
  ];
  const most = by === 'nobody' ? 1 : by === 'host by pedal' ? PEDAL_SWITCHES : Infinity;
  for (const { id, name } of all.slice(0, most))
    draft.scene(`scene-${id}`.slice(0, 40), name, [[id, 'full']]);
  if (by === 'operator' || by === 'host by panel') addStarts(draft, answers.deliverables);
};

const addStarts = (draft: RigDraft, deliverables: Plan['answers']['deliverables']): void => {
  for (const [type, wanted] of [
    ['stream', deliverables.includes('stream')],
    ['recording', deliverables.includes('programme recording')],
  ] as const)
    if (wanted)
      for (const turn of ['start', 'end'] as const)
        draft.do({
          type: 'addButton',
          buttonId: `${turn}-${type}`,
          button: {
            label: `${turn === 'start' ? 'Start' : 'End'} the ${type}`,
            does: { type, turn },
            guard: 'hold',
            handId: null,
          },
        });
};
