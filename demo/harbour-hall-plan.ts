import type { RigDraft } from '@echo-loom/core';

/** Where the hall’s cameras, boxes and desks stand; the benches themselves belong to the hall. */
export const plan = (draft: RigDraft): RigDraft =>
  draft
    .support('chair-table', 'Table, 2.2 m', [12, 19.4, 180], { name: 'Chair’s table' })
    .support('control', 'Table, 2.2 m', [23.5, 2.2, 90], { name: 'Control table' })
    .support('control-2', 'Desk, 1.8 m', [23.5, 4.8, 90], { name: 'Sound table' })
    .support('floor-rack', 'Rack, 12 units', [0.6, 2, 90], { name: 'Rack on the floor' })
    .support('gallery-rack', 'Rack, 12 units', [25.3, 12, 270], { name: 'Rack under the gallery' })
    .support('chair-tripod', 'Tripod, studio', [12, 9, 0], { name: 'Chair camera’s tripod' })
    .support('wide-tripod', 'Tripod, studio', [12, 2.2, 0], {
      name: 'Wide camera’s tripod',
      figures: { heightM: 2.3 },
    })
    .support('left-speaker', 'Stand, heavy', [4, 12, 180], {
      name: 'Left loudspeaker’s stand',
      figures: { heightM: 1.9 },
    })
    .support('right-speaker', 'Stand, heavy', [20, 12, 180], {
      name: 'Right loudspeaker’s stand',
      figures: { heightM: 1.9 },
    })
    .stand('fixed-chair', 'chair-tripod')
    .stand('fixed-wide', 'wide-tripod')
    .stand('loudspeaker-1', 'left-speaker')
    .stand('loudspeaker-2', 'right-speaker')
    .stand('box-a', 'floor-rack', 0, 0, 0, 0)
    .stand('box-b', 'gallery-rack', 0, 0, 0, 0)
    .stand('chair-monitor', 'chair-table', -0.6, 0.1, 180)
    .stand('mixer-chair', 'chair-table', 0.5, -0.1)
    .stand('switcher', 'control', -0.6, 0)
    .stand('multiview', 'control', 0.1, 0.25)
    .stand('programme-monitor', 'control', 0.45, 0.25)
    .stand('encoder', 'control', 0.75, -0.2)
    .stand('graphics', 'control', 0.15, -0.2)
    .stand('sound-desk', 'control-2', -0.4, 0)
    .stand('intercom', 'control-2', 0.5, 0)
    // Two volunteers screwed the network switch in where the stage box already was.
    .stand('network', 'floor-rack', 0, 0, 0, 0.0889)
    // What hangs on the way: converters by their cameras and screens, and a rack for what nobody touches.
    .support('control-rack', 'Rack, 12 units', [23.5, 7.2, 90], { name: 'Rack by the sound table' })
    .support('proposer-lectern', 'Side table', [9.3, 14.5, 150], {
      name: 'Proposer’s lectern',
      figures: { topM: 1.05, lowestM: 1.05, highestM: 1.05 },
    })
    .support('opposer-lectern', 'Side table', [14.7, 14.5, 210], {
      name: 'Opposer’s lectern',
      figures: { topM: 1.05, lowestM: 1.05, highestM: 1.05 },
    })
    .support('screen-wall', 'Wall bracket', [25.8, 19, 270], {
      name: 'Hall screen’s bracket',
      figures: { heightM: 2.2, bearsKg: 60 },
    })
    .support('gallery-wall', 'Wall bracket', [25.8, 14.5, 270], {
      name: 'Gallery monitor’s bracket',
      figures: { heightM: 2.2 },
    })
    .support('network-wall', 'Wall bracket', [25.9, 4, 270], {
      name: 'Network socket of the house',
      figures: { heightM: 0.3 },
    })
    .support('roaming-left', 'Tripod, light', [5, 8, 0], { name: 'Roaming 1’s home' })
    .support('roaming-middle', 'Tripod, light', [15.5, 6, 0], { name: 'Roaming 2’s home' })
    .support('roaming-right', 'Tripod, light', [20.5, 8, 0], { name: 'Roaming 3’s home' })
    .stand('roaming-1', 'roaming-left')
    .stand('roaming-2', 'roaming-middle')
    .stand('roaming-3', 'roaming-right')
    .stand('chair-converter', 'chair-tripod')
    .stand('wide-converter', 'wide-tripod')
    .stand('slides', 'chair-table', 0.85, -0.15)
    .stand('slides-converter', 'chair-table', 0.85, 0.15)
    .stand('chair-monitor-converter', 'chair-table', -0.95, 0.1)
    .stand('projector', 'screen-wall')
    .stand('projector-converter', 'screen-wall')
    .stand('gallery-monitor', 'gallery-wall')
    .stand('stream', 'network-wall')
    .support('computer-table', 'Side table', [23.5, 8, 90], { name: 'Computer’s table' })
    .stand('computer', 'computer-table')
    .stand('recorder', 'control-rack', 0, 0, 0, 0)
    .stand('distribution', 'control-rack', -0.1, 0, 0, 0.3112)
    .stand('capture-converter', 'control-rack', 0.1, 0, 0, 0.4)
    .stand('capture', 'computer-table', 0.22, 0.1)
    .stand('mixer-proposer', 'proposer-lectern')
    .stand('mixer-opposer', 'opposer-lectern')
    .stand('mixer-desk', 'control-2', 0.1, 0.3)
    .do({
      type: 'addOpening',
      openingId: 'main-door',
      opening: {
        name: 'Main doors',
        what: 'door',
        wall: 0,
        alongM: 18,
        widthM: 1.8,
        bottomM: 0,
        heightM: 2.4,
        opens: 'out',
      },
    })
    .do({
      type: 'addOpening',
      openingId: 'side-door',
      opening: {
        name: 'Side door',
        what: 'door',
        wall: 1,
        alongM: 18,
        widthM: 1,
        bottomM: 0,
        heightM: 2.1,
        opens: 'out',
      },
    })
    .do({
      type: 'addWalkway',
      walkwayId: 'aisle',
      walkway: {
        name: 'Middle aisle',
        from: { xM: 18, yM: 1 },
        to: { xM: 18, yM: 19 },
        widthM: 1.4,
      },
    })
    .do({ type: 'keepSet', setId: 'debate', name: 'The debate' })
    .do({
      type: 'changePerson',
      personId: 'questioner',
      person: { at: { xM: 15, yM: 8, facingDeg: 330 } },
    })
    .do({ type: 'keepSet', setId: 'questions', name: 'Questions from the floor' })
    .do({ type: 'standAsSet', setId: 'debate' });
