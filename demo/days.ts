import type { HouseLine, RigDraft, Store, Tape } from '@echo-loom/core';

/** What the houses add to their days: rundowns, lines of their own, tape, places for copies. */

type Planned = readonly [title: string, minutes: number, sceneId: string | null, cue: string];

const rundown = (draft: RigDraft, beginsAt: string, segments: readonly Planned[]): RigDraft => {
  draft.do({ type: 'setBeginning', beginsAt });
  segments.forEach(([title, minutes, sceneId, cue], at) =>
    draft.do({
      type: 'addSegment',
      segmentId: `segment-${at + 1}`,
      segment: { title, lengthS: minutes * 60, sceneId, heard: null, cue, notes: '' },
    }),
  );
  return draft;
};

const line = (
  draft: RigDraft,
  houseLineId: string,
  houseLine: Omit<HouseLine, 'order'>,
): RigDraft => draft.do({ type: 'addHouseLine', houseLineId, houseLine });

const store = (draft: RigDraft, storeId: string, of: Omit<Store, 'order'>): RigDraft =>
  draft.do({ type: 'addStore', storeId, store: of });

const tape = (draft: RigDraft, setId: string, colour: Tape): RigDraft =>
  draft.do({ type: 'setTape', setId, tape: colour });

/** Three copies on two kinds, one of them away. */
const copies = (draft: RigDraft): RigDraft => {
  store(draft, 'drawer', {
    name: 'Drive in the drawer',
    kind: 'hard disk',
    isAway: false,
    mbytesPerS: 150,
    capacityGb: 20_000,
  });
  return store(draft, 'home', {
    name: 'Drive at the producer’s',
    kind: 'solid state',
    isAway: true,
    mbytesPerS: 400,
    capacityGb: 16_000,
  });
};

/** At the kiln voices are raised and the overhead sees the glow: set otherwise than for the show. */
const atTheKiln = (draft: RigDraft): RigDraft => {
  const turn = (deviceId: string, control: string, value: number) =>
    draft.do({ type: 'setControl', deviceId, control, value });
  draft
    .do({ type: 'keepSet', setId: 'show', name: 'The show', withSettings: true })
    .do({ type: 'standAsSet', setId: 'firing' });
  turn('interface', 'gain-1', 56);
  turn('interface', 'gain-2', 51);
  turn('overhead', 'f-number', 4);
  return draft
    .do({ type: 'keepSet', setId: 'firing', name: 'The firing', withSettings: true })
    .do({ type: 'setByHand', setId: 'firing', minutes: 22 })
    .do({ type: 'standAsSet', setId: 'show' });
};

export const secondFiringDay = (draft: RigDraft): RigDraft => {
  rundown(draft, '19:30', [
    ['Hello from the shed', 4, 'hosts', 'Host: “Good evening from the boat shed”'],
    ['What came out of the kiln', 11, 'kiln', 'Co-host walks to the kiln'],
    ['At the wheel', 25, 'wheel', 'Potter sits down'],
    ['From above: the rim', 10, 'wheel-above', '“Watch the hands now”'],
    ['The historian', 20, 'historian', '“Are you there?”'],
    ['Slides: glazes of the coast', 12, 'slides', 'First slide'],
    ['Goodbye', 6, 'hosts', 'Host looks up'],
  ]);
  line(draft, 'kiln-door', {
    phase: 'set up',
    what: 'Kiln shut and fenced off',
    where: 'At the kiln',
    who: 'Host',
    why: 'It is hot for hours; nobody works within a metre of it.',
    isMust: true,
  });
  line(draft, 'clay', {
    phase: 'strike',
    what: 'Wipe clay off the overhead’s cable',
    where: 'At the wheel',
    who: '',
    why: 'Dry clay works into the plug.',
    isMust: false,
  });
  tape(draft, 'show', 'blue');
  tape(draft, 'firing', 'orange');
  draft.do({ type: 'measureTask', taskId: 'check', minutes: 3 });
  draft.do({ type: 'measureTask', taskId: 'check', minutes: 2.5 });
  atTheKiln(draft);
  return copies(draft);
};

export const nightTideDay = (draft: RigDraft): RigDraft =>
  rundown(draft, '22:00', [
    ['Title and names', 2, null, ''],
    ['The story', 32, null, 'Reader turns the page'],
    ['Afterwards', 6, null, ''],
  ]);

export const harbourHallDay = (draft: RigDraft): RigDraft => {
  rundown(draft, '19:00', [
    ['Welcome', 5, 'hall', 'The bell'],
    ['Proposer', 15, 'proposer', 'Chair names the motion'],
    ['Opposer', 15, 'opposer', 'Chair calls the opposer'],
    ['Questions from the floor', 70, 'both', 'Chair: “The floor is open”'],
    ['Closing words', 10, 'both', ''],
    ['The vote', 5, 'vote', 'Chair: “All those in favour”'],
  ]);
  line(draft, 'doors', {
    phase: 'go live',
    what: 'Doors shut, sign out',
    where: 'At both doors',
    who: 'Steward',
    why: 'The gallery hears the street.',
    isMust: true,
  });
  line(draft, 'who-is-where', {
    phase: 'set up',
    what: 'Each volunteer takes one place and its card, and says it back',
    where: 'At the steward’s table',
    who: 'Steward',
    why: 'Five people who each think that another does it leave it undone.',
    isMust: true,
  });
  line(draft, 'aisle', {
    phase: 'set up',
    what: 'Cable covers over the middle aisle, walked along once by each',
    where: 'Middle aisle',
    who: 'Volunteers at the aisle',
    why: 'The house is let in before the lights are up.',
    isMust: true,
  });
  line(draft, 'hand-mics', {
    phase: 'during',
    what: 'Hand microphones to who the chair points at, switched on first',
    where: 'Both sides of the floor',
    who: 'Volunteers at the aisle',
    why: 'A first sentence that nobody heard is asked for again.',
    isMust: false,
  });
  line(draft, 'count', {
    phase: 'strike',
    what: 'Count hand microphones and cable covers back into their case',
    where: 'At the steward’s table',
    who: 'Steward',
    why: 'What is missing is looked for while everybody is still here.',
    isMust: false,
  });
  draft.do({ type: 'setByHand', setId: 'questions', minutes: 14 });
  for (const minutes of [4, 3.5, 3]) draft.do({ type: 'measureTask', taskId: 'check', minutes });
  tape(draft, 'debate', 'white');
  tape(draft, 'questions', 'yellow');
  return copies(draft);
};
