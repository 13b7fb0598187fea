import { CATALOGUE } from '../catalogue';
import { demoRig } from '../rules/demo-for-cases';
import { anyCommand } from './any-command';
import { apply } from './apply';
import { seeded } from './chance';
import { type Command, commandOf, commandTypes } from './commands';
import { Refusal } from './refusal';
import { blankRig, type Rig, rigSchema } from './rig';
import { sentence } from './sentences';
import { ALL_SLICES } from './slices';

const parts = Object.values(ALL_SLICES);
const harbourHall = demoRig('harbour-hall');

describe('the parts of the document', () => {
  it('have no field and no command in common', () => {
    const fields = parts.flatMap(({ shape }) => Object.keys(shape));
    const commands = parts.flatMap((part) => Object.keys(part.commands));
    expect(new Set(fields).size).toBe(fields.length);
    expect(new Set(commands).size).toBe(commands.length);
  });
  it('make up the whole document, in the order of their list', () => {
    const fields = parts.flatMap(({ shape }) => Object.keys(shape));
    expect(Object.keys(rigSchema.shape)).toEqual(['version', ...fields]);
    expect(Object.keys(blankRig('New'))).toEqual(['version', ...fields]);
  });
  it('give a blank rig that its own schema reads, and two that share nothing', () => {
    expect(rigSchema.parse(blankRig('New'))).toEqual(blankRig('New'));
    expect(blankRig('New').houseRules).not.toBe(blankRig('New').houseRules);
  });
  it('each field stands blank as it was left', () => {
    for (const { shape, blank } of parts) expect(Object.keys(blank())).toEqual(Object.keys(shape));
  });
});

describe.each(commandTypes)('%s', (type) => {
  const made = (rig: Rig): Command[] =>
    Array.from({ length: 40 }, (_, seed) => seeded(seed, CATALOGUE)).flatMap(
      (chance) => anyCommand(chance, rig, [type]) ?? [],
    );
  const appliesTo = (rig: Rig, command: Command): boolean => {
    try {
      return apply(rig, command) !== rig;
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  };
  it('can be made for a rig that has something of everything, and some of them change it', () => {
    const all = made(harbourHall);
    expect(all.length).toBeGreaterThan(30);
    expect(all.filter((command) => appliesTo(harbourHall, command)).length).toBeGreaterThan(4);
  });
  it('is told in a sentence, with names and no ids between quotes', () => {
    for (const command of made(harbourHall)) {
      const says = sentence(harbourHall, command);
      expect(says).toMatch(/^[A-Z].*\.$/s);
      expect(says).not.toContain('undefined');
      expect(says).not.toContain('“');
    }
  });
  it('breaks nothing where the rig is blank', () => {
    for (const command of made(blankRig('New')))
      expect(() => appliesTo(blankRig('New'), command)).not.toThrow();
  });
});

describe('an edit that this version does not have', () => {
  const unknown = { type: 'addLamp', lampId: 'key' } as unknown as Command;
  it('is refused in words, and never passed over', () => {
    expect(commandOf('addLamp')).toBeUndefined();
    expect(() => apply(blankRig('New'), unknown)).toThrow('has no such edit');
    expect(() => apply(blankRig('New'), unknown)).toThrow(Refusal);
  });
  it('is refused among others too, and nothing of them is done', () => {
    const rename = { type: 'renameRig', name: 'Other' } as const;
    const both = { type: 'batch', label: 'Both', commands: [rename, unknown] } as Command;
    const rig = blankRig('New');
    expect(() => apply(rig, both)).toThrow(Refusal);
    expect(rig.name).toBe('New');
  });
});

describe('what leaves the rig is forgotten everywhere', () => {
  const everything = Object.keys(harbourHall.devices);
  it.each([
    ['removeDevice', 'deviceId', everything],
    ['removePerson', 'personId', Object.keys(harbourHall.people)],
    ['removePlace', 'placeId', Object.keys(harbourHall.places)],
    ['removeSight', 'sightId', Object.keys(harbourHall.brief?.sights ?? {})],
    ['removeScene', 'sceneId', Object.keys(harbourHall.scenes)],
  ] as const)('%s leaves no reference behind', (type, key, ids) => {
    expect(ids.length).toBeGreaterThan(0);
    for (const id of ids) {
      const rig = apply(harbourHall, { type, [key]: id } as unknown as Command);
      expect(parts.flatMap(({ problems }) => problems(rig))).toEqual([]);
    }
  });
});

describe('a collection that is full', () => {
  it('takes no more, and says how many it holds', () => {
    const place = { name: 'Table', order: 0 };
    const places = Object.fromEntries(Array.from({ length: 5000 }, (_, n) => [`p-${n}`, place]));
    const rig: Rig = { ...blankRig('Full'), places };
    const add = { type: 'addPlace', placeId: 'one-more', place: { name: 'Shelf' } } as const;
    expect(() => apply(rig, add)).toThrow('A rig holds at most 5000 places.');
  });
});
