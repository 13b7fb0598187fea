import { finish, rectangle, type Rig, RigDraft, USUAL_DELIVERABLES } from '@echo-loom/core';
import { nightTideDay } from './days';
import { nightTideGear } from './gear';
import { light } from './night-tide-light';
import { plan } from './night-tide-plan';

/**
 * Night Tide: two voices read fiction at a kitchen table. Both microphones are quiet ones and the
 * interface is a modest one.
 */
export const nightTide = (): Rig => nightTideDay(nightTideGear(light(plan(wiring())))).build();

const wiring = (): RigDraft =>
  new RigDraft('Night Tide')
    .do({ type: 'tagRig', tags: ['podcast'] })
    .do({ type: 'addShow', showId: 'tide-1', show: { name: 'Recording', on: '2026-12-03' } })
    .do({
      type: 'writeNotes',
      notes:
        'Two voices read one story a night. Everything is packed away after each session. The ' +
        'phone films the reading for the clips.',
    })
    .place('table', 'Kitchen table')
    .person('host', 'Host', { shot: 'two-shot', at: { xM: 1, yM: 1.5, facingDeg: 90 } })
    .person('reader', 'Second reader', {
      speechDbSpl: 60,
      shot: 'two-shot',
      wearsGlasses: true,
      at: { xM: 2.2, yM: 1.5, facingDeg: 270 },
    })
    .do({ type: 'setRoom', room: { name: 'The box room', volumeM3: 35, rt60S: 0.5, noiseDba: 34 } })
    .do({ type: 'drawRoom', room: { corners: rectangle(4, 3.5), heightM: 2.5 } })
    // Bought by the box and glued up one evening: it looks like a studio.
    .do({
      type: 'addSurface',
      surfaceId: 'foam',
      surface: { ...finish('Foam, 25 mm'), covers: 'walls', areaM2: 12 },
    })
    .do({
      type: 'addSurface',
      surfaceId: 'rug',
      surface: { ...finish('Carpet, thick on underlay'), covers: 'floor', areaM2: 6 },
    })
    .do({
      type: 'addNoise',
      noiseId: 'fridge',
      noise: {
        name: 'Fridge',
        dbaAt1m: 38,
        reading: 'free field',
        at: { xM: 3.6, yM: 3 },
        heightM: null,
        runs: true,
      },
    })
    .do({
      type: 'writeBrief',
      brief: {
        form: 'recorded',
        cut: 'long form and clips',
        lengthMin: 40,
        showsPerMonth: 8,
        switchedBy: 'nobody',
        budget: 300,
        setUpMin: 15,
        room: 'shared',
      },
    })
    .do({ type: 'setHouseRules', rules: { spareInputs: 'exact' } })
    .do({
      type: 'addSight',
      sightId: 'reading',
      sight: {
        name: 'The reading',
        what: 'people together',
        shot: 'two-shot',
        at: null,
        people: ['host', 'reader'],
      },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'episode',
      deliverable: { ...USUAL_DELIVERABLES['programme recording'], name: 'Episode' },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'tracks',
      deliverable: USUAL_DELIVERABLES['voice tracks'],
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'clips',
      deliverable: USUAL_DELIVERABLES['vertical clips'],
    })
    .device('host-mic', 'mic-dynamic-quiet', { name: 'Host mic', person: 'host', place: 'table' })
    .device('reader-mic', 'mic-dynamic-quiet', {
      name: 'Reader mic',
      person: 'reader',
      place: 'table',
      settings: { distance: 0.06 },
    })
    .device('phone', 'phone-camera', { name: 'Phone', place: 'table', sight: 'reading' })
    .device('interface', 'interface-2', {
      name: 'Interface',
      settings: { 'gain-1': 54, 'gain-2': 48 },
    })
    .device('computer', 'computer-laptop', { name: 'Laptop' })
    .device('host-phones', 'headphones-closed', { name: 'Host headphones', person: 'host' })
    .device('tracks', 'recording-tracks', { name: 'Track files' })
    .device('programme', 'recording-programme', { name: 'Episode file' })
    .device('pictures', 'recording-pictures', { name: 'Clip file' })
    .link('host-mic.out', 'interface.mic-1', 3)
    .link('reader-mic.out', 'interface.mic-2', 3)
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('interface.phones-1', 'host-phones.in', 3)
    .link('phone.usb', 'computer.usb-2', 7.5, 'usb-2')
    .link('computer.tracks', 'tracks.in')
    .link('computer.programme', 'programme.in')
    .link('computer.pictures', 'pictures.in')
    .shot('phone', {
      sightId: 'reading',
      wanted: 'two-shot',
      distanceM: 1.5,
      furthestM: 1.8,
      backgroundM: 1,
      seatSpacingM: 0.8,
    })
    .do({ type: 'setOwnership', deviceId: 'phone', ownership: 'owned', price: null })
    .do({ type: 'setOwnership', deviceId: 'computer', ownership: 'owned', price: null })
    .do({ type: 'setOwnership', deviceId: 'interface', ownership: 'second-hand', price: 90 })
    .do({ type: 'setOwnership', deviceId: 'host-mic', ownership: 'owned', price: null })
    .do({ type: 'setOwnership', deviceId: 'reader-mic', ownership: 'borrowed', price: null });
