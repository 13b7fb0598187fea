import { apply, type Command, type Rig, type Segment } from '../../rig';
import { demoRig } from '../demo-for-cases';
import { ruleCases } from '../judge-for-cases';

/** Rules of the day: rundowns and sets of Second Firing, which lasts 90 minutes. */

const firing = demoRig('second-firing');
const edited = (rig: Rig, ...commands: readonly Command[]): Rig =>
  commands.reduce<Rig>((to, command) => apply(to, command), rig);
const bare = edited(
  firing,
  ...Object.keys(firing.segments).map((segmentId): Command => ({
    type: 'removeSegment',
    segmentId,
  })),
);
let count = 0;
const segment = (fields: Partial<Omit<Segment, 'order'>>): Command => ({
  type: 'addSegment',
  segmentId: `case-${++count}`,
  segment: {
    title: 'Case',
    lengthS: 600,
    sceneId: null,
    heard: null,
    cue: 'now',
    notes: '',
    ...fields,
  },
});
const long = (lengthS: number): Rig => edited(bare, segment({ lengthS }));

ruleCases('day.rundown-over', {
  valid: {
    'no rundown': bare,
    'as long as asked for': long(90 * 60),
    'half a minute over': long(90 * 60 + 30),
    shorter: firing,
    'forty minutes of forty': demoRig('night-tide'),
  },
  invalid: {
    'ten minutes over': {
      rig: long(100 * 60),
      level: 'warn',
      says: /take 1:40:00; 1:30:00 are asked for/,
      sum: 600,
      fixes: ['Shorten every segment by the same share', 'Ask for 100 min in the brief'],
    },
  },
});

ruleCases('day.rundown-under', {
  valid: { 'two minutes of ninety under': firing, 'no rundown': bare, over: long(100 * 60) },
  invalid: {
    'half of it': {
      rig: long(45 * 60),
      level: 'note',
      sum: -2700,
      fixes: ['Ask for 45 min in the brief'],
    },
  },
});

/** At the wheel: one picture, full, which the rig can make. */
ruleCases('day.segment-scene', {
  valid: {
    'no scene': long(600),
    'a scene that can be made': edited(bare, segment({ sceneId: 'wheel' })),
  },
  invalid: {
    'two boxes where the switcher has none': {
      rig: edited(bare, segment({ sceneId: 'hosts' })),
      level: 'warn',
      says: /Mend the scene/,
      fixes: ['Leave the scene to whoever switches'],
    },
  },
});

ruleCases('day.segment-heard', {
  valid: {
    'left to the scene': edited(bare, segment({ sceneId: 'historian' })),
    'those whom the scene hears': edited(
      bare,
      segment({ sceneId: 'historian', heard: ['host', 'historian'] }),
    ),
    'a scene that hears everybody': edited(bare, segment({ sceneId: 'kiln', heard: ['potter'] })),
  },
  invalid: {
    'the potter while the historian speaks': {
      rig: edited(bare, segment({ sceneId: 'historian', heard: ['potter'] })),
      level: 'warn',
      says: /Guest potter is to be heard in Case/,
      fixes: ['Let the scene hear them', 'Leave it to the scene who is heard'],
    },
  },
});

ruleCases('day.segment-unheard', {
  valid: { 'somebody with a microphone': edited(bare, segment({ heard: ['host'] })) },
  invalid: {
    'somebody whose microphone is gone': {
      rig: edited(bare, segment({ heard: ['host', 'cohost'] }), {
        type: 'removeDevice',
        deviceId: 'host-mic',
      }),
      level: 'warn',
      says: /^Host is to be heard/,
      fixes: ['Plan it without them'],
    },
  },
});

ruleCases('day.segment-cue', {
  valid: {
    'the first segment': edited(bare, segment({ cue: '', sceneId: 'kiln' })),
    'the same scene goes on': edited(
      bare,
      segment({ sceneId: 'kiln' }),
      segment({ sceneId: 'kiln', cue: '' }),
    ),
    'a cue': firing,
  },
  invalid: {
    'another scene and no cue': {
      rig: edited(bare, segment({ sceneId: 'kiln' }), segment({ sceneId: 'wheel', cue: '' })),
      level: 'note',
      fixes: [],
    },
  },
});

ruleCases('day.segment-short', {
  valid: { 'ten seconds': long(10) },
  invalid: { 'four seconds': { rig: long(4), level: 'note', fixes: ['Give it 10 s'] } },
});

const tape = (setId: string, colour: 'blue' | 'orange' | null): Command => ({
  type: 'setTape',
  setId,
  tape: colour,
});

ruleCases('day.tape-twice', {
  valid: {
    'two colours': firing,
    'none at all': edited(firing, tape('show', null), tape('firing', null)),
  },
  invalid: {
    'both in blue': {
      rig: edited(firing, tape('firing', 'blue')),
      level: 'warn',
      says: /^The firing and The show are both marked in blue tape/,
      fixes: ['Mark it in white tape'],
    },
  },
});

ruleCases('day.set-unmarked', {
  valid: {
    'both marked': firing,
    'nobody has begun to mark': edited(firing, tape('show', null), tape('firing', null)),
  },
  invalid: {
    'one of two': {
      rig: edited(firing, tape('firing', null)),
      level: 'note',
      fixes: ['Mark it in white tape'],
    },
  },
});

ruleCases('day.set-up-long', {
  valid: { 'three quarters of an hour': firing },
  invalid: {
    'in five minutes': {
      rig: edited(firing, { type: 'writeBrief', brief: { setUpMin: 5 } }),
      level: 'note',
      times: 2,
      says: /^From everything put away, The show takes two people \d+ min at least; 5 are there\./,
      fixes: [],
    },
  },
});
