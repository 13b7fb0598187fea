import { blankThing, type OwnThing, type Thing } from '@echo-loom/core';

/** What the studio of the demo has, borrows and wants. */

const thing = (id: string, name: string, is: Thing['is'], more: Partial<Thing> = {}): OwnThing => ({
  id,
  version: 1,
  thing: { ...blankThing(name, is), ...more },
});

const device = (id: string, name: string, modelRef: string, more: Partial<Thing> = {}): OwnThing =>
  thing(id, name, 'device', { modelRef, ...more });

const LARGE = { keptAt: 'Boat shed, lamp cupboard', boughtOn: '2024-09-14', paid: 310 } as const;

const zoomOf = (shortestMm: number, longestMm: number, widest: number, massKg: number) => ({
  shortestMm,
  longestMm,
  widest,
  massKg,
  nearestM: 0.38,
  mount: 'Mirrorless',
});

export const DEMO_THINGS: readonly OwnThing[] = [
  device('panel-large-1', 'Key panel, large, 1', 'light-panel-large', {
    ...LARGE,
    serial: 'LP-0411',
  }),
  device('panel-large-2', 'Key panel, large, 2', 'light-panel-large', {
    ...LARGE,
    serial: 'LP-0412',
  }),
  device('panel-large-3', 'Key panel, large, 3', 'light-panel-large', {
    ...LARGE,
    serial: 'LP-0437',
  }),
  device('panel-large-4', 'Key panel, large, 4', 'light-panel-large', {
    ...LARGE,
    serial: 'LP-0440',
    condition: 'worn',
    notes: 'The knob slips; tape it once it is set.',
  }),
  device('quiet-1', 'Broadcast dynamic, host', 'mic-dynamic-quiet', {
    serial: 'B7-20931',
    boughtOn: '2023-02-03',
    paid: 380,
    keptAt: 'Box room, shelf 2',
    boxAt: 'Loft',
  }),
  device('quiet-lent', 'Broadcast dynamic, lent', 'mic-dynamic-quiet', {
    had: 'borrowed',
    from: 'The library’s sound room',
    backOn: '2026-12-02',
    serial: 'B7-11870',
    keptAt: 'Box room, shelf 2',
  }),
  device('quiet-3', 'Broadcast dynamic, spare', 'mic-dynamic-quiet', {
    serial: 'B7-20944',
    condition: 'faulty',
    notes: 'Crackles when it is turned.',
    keptAt: 'Bench',
  }),
  device('laptop', 'Laptop', 'computer-laptop', {
    serial: '5CD-1107',
    boughtOn: '2025-01-20',
    paid: 1150,
    keptAt: 'Box room, desk',
  }),
  device('interface-four', 'Interface, four microphones', 'interface-4', {
    serial: 'I4-3302',
    paid: 420,
    keptAt: 'Boat shed, rack drawer',
    boxAt: 'Boat shed, under the stairs',
  }),
  device('phones', 'Closed headphones', 'headphones-closed', {
    count: 4,
    paid: 280,
    keptAt: 'Boat shed, hooks',
  }),
  thing('zoom', 'Zoom 24–70', 'lens', {
    ...zoomOf(24, 70, 2.8, 0.7),
    serial: 'Z-77120',
    boughtOn: '2022-05-11',
    paid: 790,
    keptAt: 'Boat shed, drawer 1',
  }),
  thing('close-up', '100 mm, close-up', 'lens', {
    ...zoomOf(100, 100, 2.8, 0.65),
    nearestM: 0.28,
    had: 'borrowed',
    from: 'The college',
    backOn: '2027-01-31',
  }),
  thing('xlr-10', 'Microphone cable, 10 m', 'cable', {
    cableKind: 'balanced',
    lengthM: 10,
    count: 6,
    keptAt: 'Boat shed, hooks',
  }),
  thing('xlr-5', 'Microphone cable, 5 m', 'cable', {
    cableKind: 'balanced',
    lengthM: 5,
    count: 4,
    keptAt: 'Boat shed, hooks',
  }),
  thing('camera-battery', 'Camera battery', 'battery', { holds: 16, count: 6, keptAt: 'Charger' }),
  thing('card', 'Card, V60', 'card', { holds: 128, count: 4, keptAt: 'Card wallet' }),
  thing('gaffer', 'Cloth tape, five colours', 'other', { keptAt: 'Boat shed, drawer 3' }),
  device('recorder-wanted', 'Recorder for the bag', 'recorder-sound', { had: 'wanted', paid: 340 }),
];
