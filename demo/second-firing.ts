import { finish, type Rig, RigDraft, USUAL_DELIVERABLES } from '@echo-loom/core';
import { BOAT_SHED } from './boat-shed';
import { secondFiringDay } from './days';
import { secondFiringGear } from './gear';
import { exposures, light } from './second-firing-light';
import { firingSet, plan } from './second-firing-plan';
import { programme } from './second-firing-programme';
import { waysAndMains } from './second-firing-ways';

/**
 * Second Firing: a weekly live ceramics show from a converted boat shed, with a guest at the wheel
 * and a historian far away.
 */
export const secondFiring = (): Rig =>
  secondFiringDay(
    secondFiringGear(firingSet(exposures(light(waysAndMains(plan(programme(wiring()))))))),
  ).build();

const wiring = (): RigDraft =>
  new RigDraft('Second Firing')
    .do({ type: 'tagRig', tags: ['live', 'weekly'] })
    .do({ type: 'addShow', showId: 'firing-1', show: { name: 'Second Firing', on: '2026-12-03' } })
    .do({ type: 'addShow', showId: 'firing-2', show: { name: 'Second Firing', on: '2026-12-10' } })
    .do({
      type: 'writeNotes',
      notes:
        'Live every week from the boat shed. The kiln fan cannot be switched off during a ' +
        'firing. The overhead over the wheel hangs from the beam with a second fixing; have ' +
        'it checked by someone competent before the show.',
    })
    .place('bench', 'Glazing bench')
    .place('wheel', 'Wheel')
    .place('rack', 'Rack')
    .person('host', 'Host', { speechDbSpl: 64, at: { xM: 1, yM: 1.5, facingDeg: 20 } })
    .person('cohost', 'Co-host', { at: { xM: 2.4, yM: 1.5, facingDeg: 340 } })
    .person('potter', 'Guest potter', {
      at: { xM: 5, yM: 2.2, facingDeg: 290 },
      speechDbSpl: 60,
      crestDb: 18,
      posture: 'moves',
      needsHandsFree: true,
      shot: 'waist',
    })
    .person('historian', 'Historian', { where: 'remote' })
    .do({
      type: 'writeBrief',
      brief: {
        form: 'both',
        cut: 'long form and clips',
        lengthMin: 90,
        showsPerMonth: 4,
        switchedBy: 'host by panel',
        budget: 9000,
        setUpMin: 45,
        room: 'shared',
        uplinkMbps: 20,
      },
    })
    .do({
      type: 'setRoom',
      room: { name: 'The boat shed', volumeM3: 420, rt60S: 0.9, noiseDba: 36 },
    })
    .do({ type: 'drawRoom', room: { corners: BOAT_SHED, heightM: 3.6 } })
    .do({ type: 'finishRoom', of: 'floor', finish: finish('Concrete or tile') })
    .do({ type: 'finishRoom', of: 'walls', finish: finish('Boards, 20 mm on battens') })
    .do({ type: 'finishRoom', of: 'ceiling', finish: finish('Boards, 20 mm on battens') })
    .do({
      type: 'addSurface',
      surfaceId: 'shed-doors',
      surface: { ...finish('Door, solid wood'), name: 'Shed doors', covers: 'walls', areaM2: 14 },
    })
    .do({
      type: 'addSurface',
      surfaceId: 'blankets',
      surface: { ...finish('Moving blanket, hung in folds'), covers: 'walls', areaM2: 18 },
    })
    .do({
      type: 'addNoise',
      noiseId: 'kiln-fan',
      noise: {
        name: 'Kiln fan',
        dbaAt1m: 56,
        reading: 'free field',
        at: { xM: 6.6, yM: 1.4 },
        heightM: null,
        runs: true,
      },
    })
    .do({
      type: 'addNoise',
      noiseId: 'show-computer',
      noise: {
        name: 'Show computer',
        dbaAt1m: 38,
        reading: 'free field',
        at: { xM: 0.4, yM: 4.5 },
        heightM: null,
        runs: true,
      },
    })
    .do({
      type: 'addSight',
      sightId: 'wheel-from-above',
      sight: {
        name: 'Wheel from above',
        what: 'hands',
        shot: 'close',
        at: { xM: 4.58, yM: 2.35, zM: 0.62 },
        people: ['potter'],
      },
    })
    .do({
      type: 'addSight',
      sightId: 'slides',
      sight: { name: 'Slides', what: 'screen', shot: 'whole', at: null, people: [] },
    })
    .do({
      type: 'addSight',
      sightId: 'kiln',
      sight: {
        name: 'Kiln',
        what: 'table',
        shot: 'close',
        at: { xM: 7, yM: 1.4, zM: 0.9 },
        people: [],
      },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'stream',
      deliverable: USUAL_DELIVERABLES['stream'],
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'programme',
      deliverable: USUAL_DELIVERABLES['programme recording'],
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
    .device('host-camera', 'camera-mirrorless', {
      name: 'Host camera',
      person: 'host',
      place: 'bench',
      settings: { 'overlays-off': true },
    })
    .device('cohost-camera', 'camera-camcorder', {
      name: 'Co-host camera',
      person: 'cohost',
      place: 'bench',
      settings: { format: '1920x1080p60000/1001' },
    })
    .device('potter-camera', 'camera-mirrorless', {
      name: 'Potter camera',
      person: 'potter',
      place: 'wheel',
      settings: { mains: false },
    })
    .device('overhead', 'camera-ptz', {
      name: 'Overhead',
      place: 'wheel',
      sight: 'wheel-from-above',
    })
    .device('kiln-camera', 'camera-camcorder', {
      name: 'Kiln camera',
      place: 'wheel',
      sight: 'kiln',
      settings: { mains: false },
    })
    .device('slides', 'player-slides', { name: 'Slides', sight: 'slides' })
    .device('historian-call', 'call', { name: 'Historian call', person: 'historian' })
    .device('host-mic', 'mic-dynamic-quiet', { name: 'Host mic', person: 'host', place: 'bench' })
    .device('cohost-mic', 'mic-dynamic-stage', {
      name: 'Co-host mic',
      person: 'cohost',
      place: 'bench',
      settings: { distance: 0.08 },
    })
    .device('potter-mic', 'mic-headset', {
      name: 'Potter headset',
      person: 'potter',
      place: 'wheel',
    })
    .device('wheel-mic', 'mic-dynamic-stage', {
      name: 'Wheel mic',
      person: 'potter',
      place: 'wheel',
      settings: { distance: 0.3 },
    })
    .device('booster', 'booster-inline', {
      name: 'Wheel booster',
      person: 'potter',
      place: 'wheel',
    })
    .device('strip-1', 'channel-processor', {
      name: 'Strip 1',
      person: 'potter',
      place: 'rack',
      settings: { gain: 46, phantom: true, compress: true, threshold: 2, ratio: 3, 'make-up': 0 },
    })
    .device('strip-2', 'channel-processor', {
      name: 'Strip 2',
      person: 'potter',
      place: 'rack',
      settings: { gain: 40, phantom: false },
    })
    .device('interface', 'interface-4', {
      name: 'Interface',
      place: 'rack',
      settings: {
        'gain-1': 60,
        'gain-2': 54,
        'gain-3': 0,
        'gain-4': 0,
        'phantom-1': false,
        'phantom-2': false,
      },
    })
    .device('switcher', 'switcher-6', {
      name: 'Switcher',
      place: 'rack',
      settings: { 'usb-format': '1920x1080p30' },
    })
    .device('slides-splitter', 'splitter-hdmi-2', { name: 'Slides splitter', place: 'rack' })
    .device('capture', 'capture-5g', { name: 'Slides capture', place: 'rack' })
    .device('computer', 'computer-desktop', {
      name: 'Show computer',
      place: 'rack',
      settings: { 'call-hears': 'programme' },
    })
    .device('multiview', 'display-monitor', { name: 'Multiview', place: 'rack' })
    .device('confidence', 'display-monitor', { name: 'Wheel monitor', place: 'wheel' })
    .device('host-phones', 'headphones-closed', { name: 'Host headphones', person: 'host' })
    .device('cohost-phones', 'headphones-closed', { name: 'Co-host headphones', person: 'cohost' })
    .device('stream', 'stream', { name: 'Live stream' })
    .device('programme', 'recording-programme', { name: 'Programme file' })
    .device('tracks', 'recording-tracks', { name: 'Track files' })
    .link('host-mic.out', 'interface.mic-1', 5)
    .link('cohost-mic.out', 'interface.mic-2', 5)
    .link('potter-mic.out', 'strip-2.in', 15)
    .link('strip-2.out', 'interface.line-3', 10)
    .link('wheel-mic.out', 'booster.in', 1)
    .link('booster.out', 'strip-1.in', 15)
    .link('strip-1.out', 'interface.mic-4', 10)
    .link('host-camera.hdmi', 'switcher.in-1', 5)
    .link('cohost-camera.hdmi', 'switcher.in-2', 5)
    .link('potter-camera.hdmi', 'switcher.in-3', 10)
    .link('overhead.hdmi', 'switcher.in-4', 15)
    .link('kiln-camera.hdmi', 'switcher.in-6', 7.5)
    .link('slides.hdmi', 'slides-splitter.in', 2)
    .link('slides-splitter.out-1', 'switcher.in-5', 2)
    .link('slides-splitter.out-2', 'capture.in', 2)
    .link('capture.usb', 'computer.usb-6', 2, 'usb-5g')
    .link('switcher.usb', 'computer.usb-2', 2, 'usb-5g')
    .link('switcher.multiview', 'multiview.in', 3)
    .link('switcher.aux-1', 'confidence.in', 15)
    .link('interface.usb', 'computer.usb-5', 2, 'usb-2')
    .link('interface.phones-1', 'host-phones.in', 3)
    .link('interface.phones-2', 'cohost-phones.in', 3)
    .link('historian-call.receive', 'computer.call-in')
    .link('computer.call-out', 'historian-call.send')
    .link('computer.programme', 'stream.in')
    .link('computer.programme', 'programme.in')
    .link('computer.tracks', 'tracks.in');
