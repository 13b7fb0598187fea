import { RigDraft } from '../../catalogue/draft';
import { finish, rectangle, type Rig, type SimpleCommand, type Surface } from '../../rig';
import { BARE_ROOM as BARE, flat } from '../room-for-cases';
import { ruleCases } from '../judge-for-cases';
import { voice } from '../rigs-for-cases';

const hung = (
  surfaceId: string,
  surface: Omit<Surface, 'order'>,
): Extract<SimpleCommand, { type: 'addSurface' }> => ({ type: 'addSurface', surfaceId, surface });

const having = (draft: RigDraft, ...commands: readonly SimpleCommand[]): Rig =>
  commands.reduce((given, command) => given.do(command), draft).build();
const bare = (...more: readonly SimpleCommand[]): Rig => having(voice(), ...BARE, ...more);

/** 22.96 m² of 0.85 over walls of 0.04 bring the bare room to 0.35 s. */
const treated = hung('panels', { ...flat('Panels', 0.85), covers: 'walls', areaM2: 22.96 });

ruleCases('place.rings-long', {
  valid: {
    'a room that nobody has drawn': voice().build(),
    'the bare room without a microphone': having(new RigDraft('Case'), ...BARE),
    'the bare room with the panels it needs': bare(treated),
    'a room of 0.44 s, a little over 0.4': bare(
      hung('panels', { ...flat('Panels', 0.85), covers: 'walls', areaM2: 18 }),
    ),
    'a bare room that somebody has measured at 0.4 s': bare({
      type: 'setRoom',
      room: { rt60S: 0.4 },
    }),
    'a hall of 2574 m³ that rings for 1.1 s': having(
      voice(),
      { type: 'drawRoom', room: { corners: rectangle(26, 22), heightM: 4.5 } },
      { type: 'setRoom', room: { rt60S: 1.1 } },
    ),
  },
  invalid: {
    'the bare room, 2.45 s by Sabine': {
      rig: bare(),
      level: 'warn',
      says: /rings for 2\.45 s; for speech in 55 m³ 0\.40 s is right/,
      sum: 2.452,
      fixes: [/^Hang panels of mineral wool, 100 mm: 1\d\.[05] m² on the walls$/],
    },
    'the bare room, to be as dead as can be': {
      rig: bare({ type: 'setHouseRules', rules: { room: 'dead' } }),
      level: 'warn',
      says: /0\.21 s is right/,
    },
    'a time that was typed, although the surfaces tell another': {
      rig: bare(treated, { type: 'setRoom', room: { rt60S: 0.6 } }),
      level: 'note',
      says: /rings for 0\.60 s/,
      sum: 1.5,
    },
    'a room whose walls alone do not hold all the panels it needs': {
      rig: having(
        voice(),
        { type: 'drawRoom', room: { corners: rectangle(9, 9), heightM: 2.4 } },
        { type: 'setHouseRules', rules: { room: 'dead' } },
        { type: 'finishRoom', of: 'ceiling', finish: flat('Ceiling', 0.02) },
        hung('glass', { ...flat('Glass', 0.03), covers: 'walls', areaM2: 66.4 }),
      ),
      level: 'warn',
      fixes: [/19\.5 m² on the walls and \d+\.[05] m² under the ceiling$/],
    },
  },
});

ruleCases('place.boomy', {
  valid: {
    'a bare room: it rings alike in all bands': bare(),
    'panels that hold the low end': bare(
      hung('panels', {
        ...finish('Panel of mineral wool, 100 mm, 100 mm off the wall'),
        covers: 'walls',
        areaM2: 16,
      }),
    ),
    'a hall with curtains: halls ring longer below': having(
      voice(),
      { type: 'drawRoom', room: { corners: rectangle(20, 16), heightM: 6 } },
      hung('curtains', { ...finish('Curtain, light'), covers: 'walls', areaM2: 300 }),
    ),
  },
  invalid: {
    'foam of 25 mm on half the walls': {
      rig: bare(hung('foam', { ...finish('Foam, 25 mm'), covers: 'walls', areaM2: 20 })),
      level: 'note',
      says: /Foam, 25 mm cannot hold the low end/,
      fixes: [/^Hang panels of 100 mm, 100 mm off the wall, in place of Foam, 25 mm$/],
    },
  },
});

ruleCases('place.time-differs', {
  valid: {
    'nothing typed': bare(),
    'a typed time near what the surfaces tell': bare({ type: 'setRoom', room: { rt60S: 2.1 } }),
    'a typed time and no room drawn': having(voice(), { type: 'setRoom', room: { rt60S: 0.3 } }),
  },
  invalid: {
    'half a second typed for a bare room': {
      rig: bare({ type: 'setRoom', room: { rt60S: 0.5 } }),
      level: 'note',
      says: /typed as 0\.50 s, and the surfaces of the room come to 2\.45 s/,
      sum: 2.452,
      fixes: ['Take the time that the surfaces tell'],
    },
  },
});

ruleCases('place.volume-differs', {
  valid: {
    'the volume it has': bare({ type: 'setRoom', room: { volumeM3: 55 } }),
    'a typed volume and no room drawn': having(voice(), { type: 'setRoom', room: { volumeM3: 9 } }),
  },
  invalid: {
    'a floor area typed for a volume': {
      rig: bare({ type: 'setRoom', room: { volumeM3: 21.3 } }),
      level: 'note',
      says: /typed as 21\.3 m³, and the room as it is drawn holds 55\.4 m³/,
      sum: 55.432,
      fixes: ['Take the volume of the drawn room'],
    },
  },
});

ruleCases('place.covered-twice', {
  valid: {
    'as much as there is': bare(
      hung('carpet', { ...flat('Carpet', 0.4), covers: 'floor', areaM2: 21.32 }),
    ),
    'people on the floor, who cover nothing': bare(
      hung('people', { ...finish('People, seated'), covers: 'nothing', areaM2: 40 }),
    ),
  },
  invalid: {
    'more carpet than floor': {
      rig: bare(hung('carpet', { ...flat('Carpet', 0.4), covers: 'floor', areaM2: 30 })),
      level: 'warn',
      says: /comes to 30\.0 m², and there are 21\.3 m²/,
      sum: -8.68,
      fixes: ['Make Carpet 21.32 m²'],
    },
    'two that together are more than the walls, the last of which is cut back': {
      rig: bare(
        hung('a', { ...flat('Foam', 0.5), covers: 'walls', areaM2: 30 }),
        hung('b', { ...flat('Curtain', 0.4), covers: 'walls', areaM2: 30 }),
      ),
      level: 'warn',
      fixes: ['Make Curtain 18.36 m²'],
    },
    'a last one for which nothing is left: no one fix does': {
      rig: bare(
        hung('a', { ...flat('Foam', 0.5), covers: 'walls', areaM2: 60 }),
        hung('b', { ...flat('Curtain', 0.4), covers: 'walls', areaM2: 5 }),
      ),
      level: 'warn',
      fixes: [],
    },
  },
});

const at = (xM: number, yM: number) => ({ xM, yM, facingDeg: 0 });

ruleCases('place.outside', {
  valid: {
    'a person in the middle': bare({
      type: 'changePerson',
      personId: 'host',
      person: { at: at(2, 2) },
    }),
    'a microphone on the wall': bare({
      type: 'placeDevice',
      deviceId: 'mic',
      at: at(5.2, 2),
      aim: null,
    }),
    'somebody elsewhere': having(
      voice().person('far', 'Far', { where: 'remote', at: at(50, 50) }),
      ...BARE,
    ),
  },
  invalid: {
    'a person behind the wall': {
      rig: bare({ type: 'changePerson', personId: 'host', person: { at: at(6, 2) } }),
      level: 'warn',
      says: /^Host stands outside the walls/,
    },
    'a fan in the yard': {
      rig: bare({
        type: 'addNoise',
        noiseId: 'fan',
        noise: {
          name: 'Fan',
          dbaAt1m: 50,
          reading: 'free field',
          at: { xM: 2, yM: -3 },
          heightM: null,
          runs: true,
        },
      }),
      level: 'warn',
      says: /^Fan stands outside/,
    },
    'a device in the notch of a room with six corners': {
      rig: having(
        voice(),
        {
          type: 'drawRoom',
          room: {
            corners: [at(0, 0), at(6, 0), at(6, 3), at(3, 3), at(3, 6), at(0, 6)].map(
              ({ xM, yM }) => ({ xM, yM }),
            ),
            heightM: 2.5,
          },
        },
        { type: 'placeDevice', deviceId: 'mic', at: at(4.5, 4.5), aim: null },
      ),
      level: 'warn',
    },
  },
});
