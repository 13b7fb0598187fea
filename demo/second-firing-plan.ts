import type { RigDraft } from '@echo-loom/core';

/** Where everything stands in the boat shed: the bench of the hosts, the wheel, the way to the door. */
export const plan = (draft: RigDraft): RigDraft =>
  draft
    .support('bench', 'Table, 2.2 m', [1.7, 2.15, 0], { name: 'Glazing bench' })
    .support('host-arm', 'Arm, middle', [0.62, 1.95, 0], { name: 'Host’s arm', onId: 'bench' })
    .support('cohost-arm', 'Arm, light', [2.78, 1.95, 0], { name: 'Co-host’s arm', onId: 'bench' })
    .support('wheel', 'Side table', [4.58, 2.35, 290], {
      name: 'Wheel',
      figures: { topM: 0.55, lowestM: 0.55, highestM: 0.55 },
    })
    .support('host-tripod', 'Tripod, studio', [1.58, 3.1, 200], {
      name: 'Host camera’s tripod',
      figures: { heightM: 1.15 },
    })
    .support('cohost-tripod', 'Tripod, studio', [2.61, 3.88, 185], {
      name: 'Co-host camera’s tripod',
      figures: { heightM: 1.12 },
    })
    .support('potter-tripod', 'Tripod, light', [2.93, 2.95, 110], {
      name: 'Potter camera’s tripod',
      figures: { heightM: 1.5 },
    })
    .support('kiln-tripod', 'Tripod, light', [8.6, 3.2, 225], { name: 'Kiln camera’s tripod' })
    // Reaches over the wheel, and only just stands.
    .support('boom', 'Boom stand', [4.58, 3.75, 180], {
      name: 'Boom over the wheel',
      figures: { heightM: 2.65 },
    })
    .support('wheel-mic-stand', 'Microphone stand, boom', [4.98, 3, 200], {
      name: 'Wheel microphone’s stand',
      figures: { heightM: 1.43 },
    })
    .support('pots', 'Shelf, 1 m', [1.6, -0.2, 0], {
      name: 'Shelves with pots',
      figures: { widthM: 4.4 },
    })
    .support('kiln', 'Side table', [7.3, 1.35, 290], {
      name: 'Kiln',
      figures: { widthM: 0.8, depthM: 0.8, topM: 1.2, lowestM: 1.2, highestM: 1.2, bearsKg: 200 },
    })
    .support('rack', 'Rack, 12 units', [-0.6, 6.2, 90], { name: 'Rack' })
    // Wheeled in on the day of the firing and left where it stopped.
    .support('glazes', 'Trolley', [8.1, -0.45, 0], { name: 'Trolley with glazes' })
    .support('beam', 'Grid, 3 m by 2 m', [5.5, 5, 0], {
      name: 'Low beam',
      figures: { widthM: 13, depthM: 0.25, heightM: 2.2, bearsKg: 40 },
    })
    .stand('host-mic', 'host-arm')
    .stand('booster', 'host-arm')
    .stand('cohost-mic', 'cohost-arm')
    .stand('wheel-mic', 'wheel-mic-stand', 0, 0, -90)
    .stand('host-camera', 'host-tripod')
    .stand('cohost-camera', 'cohost-tripod')
    .stand('potter-camera', 'potter-tripod')
    .stand('kiln-camera', 'kiln-tripod')
    .stand('overhead', 'boom', 0, 0, 0, -0.19)
    .support('monitor-stand', 'Stand, heavy', [11, 0.3, 300], {
      name: 'Wheel monitor’s stand',
      figures: { heightM: 1.3 },
    })
    .stand('confidence', 'monitor-stand')
    .stand('switcher', 'bench', -0.3, 0.1)
    .stand('strip-1', 'rack', 0, 0, 0, 0)
    .stand('strip-2', 'rack', 0, 0, 0, 0.04445)
    .stand('interface', 'bench', 0.12, 0.15)
    .stand('multiview', 'bench', 0.68, 0.28)
    .do({
      type: 'addOpening',
      openingId: 'way-out',
      opening: {
        name: 'Way out',
        what: 'door',
        wall: 0,
        alongM: 9.1,
        widthM: 1,
        bottomM: 0,
        heightM: 2.05,
        opens: 'in',
      },
    })
    .do({
      type: 'addOpening',
      openingId: 'slipway',
      opening: {
        name: 'Slipway doors',
        what: 'door',
        wall: 4,
        alongM: 3.5,
        widthM: 3.4,
        bottomM: 0,
        heightM: 3,
        opens: 'out',
      },
    })
    .do({
      type: 'addOpening',
      openingId: 'window',
      opening: {
        name: 'Window to the water',
        what: 'window',
        wall: 1,
        alongM: 4,
        widthM: 2.4,
        bottomM: 1,
        heightM: 1.2,
        opens: 'no',
      },
    })
    .do({
      type: 'addWalkway',
      walkwayId: 'to-the-door',
      walkway: {
        name: 'Way to the door',
        from: { xM: 9.8, yM: 4.2 },
        to: { xM: 8.9, yM: 0.6 },
        widthM: 0.9,
      },
    })
    .do({ type: 'keepSet', setId: 'show', name: 'The show' });

/** The other set: everybody at the kiln. Leaves the rig as it stood for the show. */
export const firingSet = (draft: RigDraft): RigDraft =>
  draft
    // Lamps and what hangs came after the plan.
    .do({ type: 'keepSet', setId: 'show', name: 'The show' })
    .do({
      type: 'changePerson',
      personId: 'host',
      person: { at: { xM: 8.6, yM: 4, facingDeg: 200 } },
    })
    .do({
      type: 'changePerson',
      personId: 'cohost',
      person: { at: { xM: 9.8, yM: 3.6, facingDeg: 240 } },
    })
    .do({
      type: 'changeSupport',
      supportId: 'host-tripod',
      support: { at: { xM: 8, yM: 2.2, facingDeg: 20 } },
    })
    .do({
      type: 'changeSupport',
      supportId: 'cohost-tripod',
      support: { at: { xM: 9, yM: 1.6, facingDeg: 60 } },
    })
    .do({
      type: 'changeSupport',
      supportId: 'key-stand',
      support: { at: { xM: 7.4, yM: 3.4, facingDeg: 60 } },
    })
    .do({ type: 'keepSet', setId: 'firing', name: 'The firing' })
    .do({ type: 'standAsSet', setId: 'show' });
