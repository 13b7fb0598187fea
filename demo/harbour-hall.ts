import { RigDraft, USUAL_DELIVERABLES, type Rig } from '@echo-loom/core';

/** Bench microphones of each side, one in front of two seats. */
const BENCH = 6;

const people = (draft: RigDraft): RigDraft =>
  draft
    .person('chair', 'Chair', {
      shot: 'waist',
      speechDbSpl: 64,
      at: { xM: 12, yM: 20, facingDeg: 180 },
    })
    .person('proposer', 'Proposer', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 66,
      spreadDb: 9,
      crestDb: 16,
      at: { xM: 9, yM: 15, facingDeg: 150 },
    })
    .person('opposer', 'Opposer', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 66,
      spreadDb: 9,
      crestDb: 16,
      at: { xM: 15, yM: 15, facingDeg: 210 },
    })
    .person('questioner', 'Questioner', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 62,
      spreadDb: 9,
      at: { xM: 12, yM: 7, facingDeg: 0 },
    })
    .person('audience', 'Audience', {
      shot: null,
      isHeard: false,
      speechDbSpl: 84,
      crestDb: 16,
      at: { xM: 12, yM: 4, facingDeg: 0 },
    })
    .person('director', 'Director', { shot: null, isHeard: false })
    .person('desk', 'Sound desk', { shot: null, isHeard: false })
    .person('roamer-1', 'Roaming camera 1', { shot: null, isHeard: false, posture: 'moves' })
    .person('roamer-2', 'Roaming camera 2', { shot: null, isHeard: false, posture: 'moves' })
    .person('roamer-3', 'Roaming camera 3', { shot: null, isHeard: false, posture: 'moves' })
    .person('floor', 'Floor', { shot: null, isHeard: false, posture: 'moves' })
    .do({ type: 'setRoom', room: { volumeM3: 2600, rt60S: 1.5, noiseDba: 36 } })
    .do({
      type: 'addNoise',
      noiseId: 'air-handling',
      noise: { name: 'Air handling', dbaAt1m: 44, at: { xM: 22, yM: 12 }, runs: true },
    })
    .do({
      type: 'writeBrief',
      brief: {
        form: 'both',
        cut: 'long form and clips',
        lengthMin: 120,
        showsPerMonth: 2,
        switchedBy: 'operator',
        budget: 45000,
        setUpMin: 180,
        room: 'shared',
        uplinkMbps: 30,
      },
    })
    .do({
      type: 'setHouseRules',
      rules: { monitoring: 'loudspeakers muted', recordingLevel: 'average -20' },
    })
    .do({
      type: 'addSight',
      sightId: 'benches',
      sight: {
        name: 'Both benches',
        what: 'people together',
        shot: 'whole',
        people: ['proposer', 'opposer'],
      },
    })
    .do({
      type: 'addSight',
      sightId: 'vote',
      sight: { name: 'The vote', what: 'screen', shot: 'whole', people: [] },
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
    });

/** Five cameras: three carried on long coax runs, two fixed ones that need converters. */
const cameras = (draft: RigDraft): RigDraft =>
  draft
    .device('roaming-1', 'camera-roaming', {
      name: 'Roaming 1',
      person: 'proposer',
      place: 'floor',
      settings: { 'focal-length': 53 },
    })
    .device('roaming-2', 'camera-roaming', {
      name: 'Roaming 2',
      person: 'opposer',
      place: 'floor',
      settings: { 'focal-length': 54 },
    })
    .device('roaming-3', 'camera-roaming', {
      name: 'Roaming 3',
      person: 'questioner',
      place: 'floor',
      settings: { mains: false },
    })
    .device('fixed-chair', 'camera-camcorder', {
      name: 'Chair camera',
      person: 'chair',
      place: 'gallery',
      settings: { 'focal-length': 80, iso: 400 },
    })
    .device('fixed-wide', 'camera-full-frame', {
      name: 'Wide camera',
      place: 'gallery',
      sight: 'benches',
      settings: { 'overlays-off': true, 'focal-length': 24, iso: 400 },
    })
    .device('chair-converter', 'converter-hdmi-sdi', {
      name: 'Chair camera converter',
      place: 'gallery',
    })
    .device('wide-converter', 'converter-hdmi-sdi', {
      name: 'Wide camera converter',
      place: 'gallery',
    })
    .link('roaming-1.sdi', 'switcher.in-1', 95)
    .link('roaming-2.sdi', 'switcher.in-2', 75)
    .link('roaming-3.sdi', 'switcher.in-3', 60)
    .link('fixed-chair.hdmi', 'chair-converter.in', 2)
    .link('chair-converter.out', 'switcher.in-4', 70)
    .link('fixed-wide.hdmi', 'wide-converter.in', 2)
    .link('wide-converter.out', 'switcher.in-5', 75);

const pictures = (draft: RigDraft): RigDraft =>
  draft
    .device('switcher', 'switcher-20', { name: 'Switcher', place: 'control' })
    .device('graphics', 'player-graphics', { name: 'Graphics', place: 'control', sight: 'vote' })
    .device('slides', 'player-slides', { name: 'Speakers’ slides', place: 'lectern' })
    .device('slides-converter', 'converter-hdmi-sdi', {
      name: 'Slides converter',
      place: 'lectern',
    })
    .device('distribution', 'splitter-sdi-4', { name: 'Programme distribution', place: 'control' })
    .device('encoder', 'encoder-hardware-sdi', { name: 'Encoder', place: 'control' })
    .device('stream', 'stream', { name: 'Live stream' })
    .device('recorder', 'recorder-picture-sdi', {
      name: 'Programme recorder',
      place: 'control',
      settings: { 'record-mbps': 300 },
    })
    .device('multiview', 'display-sdi', { name: 'Multiview', place: 'control' })
    .device('programme-monitor', 'display-sdi', { name: 'Programme monitor', place: 'control' })
    .device('gallery-monitor', 'display-sdi', { name: 'Gallery monitor', place: 'gallery' })
    .device('chair-monitor-converter', 'converter-sdi-hdmi', {
      name: 'Chair monitor converter',
      place: 'lectern',
    })
    .device('chair-monitor', 'display-monitor', { name: 'Chair monitor', place: 'lectern' })
    .device('projector-converter', 'converter-sdi-hdmi', {
      name: 'Hall screen converter',
      place: 'floor',
    })
    .device('projector', 'display-2160', { name: 'Hall screen', place: 'floor' })
    .device('capture-converter', 'converter-sdi-hdmi', {
      name: 'Computer feed converter',
      place: 'control',
    })
    .device('capture', 'capture-5g', {
      name: 'Programme capture',
      place: 'control',
      settings: { 'capture-format': '1920x1080p30' },
    })
    .device('computer', 'computer-desktop', { name: 'Recording computer', place: 'control' })
    .device('programme-file', 'recording-programme', { name: 'Programme file' })
    .device('tracks', 'recording-tracks', { name: 'Track files' });

const pictureLinks = (draft: RigDraft): RigDraft =>
  draft
    .link('graphics.sdi-1', 'switcher.in-6', 5)
    .link('graphics.sdi-2', 'switcher.in-7', 5)
    .link('graphics.sdi-3', 'switcher.in-8', 5)
    .link('slides.hdmi', 'slides-converter.in', 2)
    .link('slides-converter.out', 'switcher.in-9', 45)
    .link('switcher.programme', 'distribution.in', 3)
    .link('distribution.out-1', 'encoder.in', 3)
    .link('encoder.network', 'stream.wire', 10)
    .link('distribution.out-2', 'recorder.in', 3)
    .link('recorder.loop', 'programme-monitor.in', 3)
    .link('distribution.out-3', 'capture-converter.in', 3)
    .link('capture-converter.out', 'capture.in', 1)
    .link('capture.usb', 'computer.usb-2', 1, 'usb-5g')
    .link('switcher.multiview', 'multiview.in', 5)
    .link('switcher.aux-1', 'projector-converter.in', 70)
    .link('projector-converter.out', 'projector.in', 5)
    .link('switcher.aux-2', 'chair-monitor-converter.in', 55)
    .link('chair-monitor-converter.out', 'chair-monitor.in', 2)
    .link('switcher.aux-3', 'gallery-monitor.in', 75)
    .link('computer.programme', 'programme-file.in')
    .link('computer.tracks', 'tracks.in');

/** Twenty-four microphones in two stage boxes. */
const microphones = (draft: RigDraft): RigDraft => {
  draft
    .device('box-a', 'stage-box-16', { name: 'Stage box A', place: 'floor' })
    .device('box-b', 'stage-box-16', { name: 'Stage box B', place: 'gallery' });
  const plugs: [
    id: string,
    classId: string,
    name: string,
    person: string | null,
    place: string,
    settings: Record<string, number | boolean>,
  ][] = [
    ['chair-mic', 'mic-dynamic-stage', 'Chair mic', 'chair', 'lectern', { distance: 0.08 }],
    [
      'proposer-mic',
      'mic-condenser-small',
      'Proposer’s lectern',
      'proposer',
      'lectern',
      { distance: 0.35 },
    ],
    [
      'opposer-mic',
      'mic-condenser-small',
      'Opposer’s lectern',
      'opposer',
      'lectern',
      { distance: 0.35 },
    ],
  ];
  for (let n = 1; n <= BENCH; n++)
    for (const [side, person] of [
      ['left', 'proposer'],
      ['right', 'opposer'],
    ] as const)
      plugs.push([
        `bench-${side}-${n}`,
        'mic-boundary',
        `Bench ${side} ${n}`,
        person,
        'floor',
        { distance: 0.45 },
      ]);
  for (let n = 1; n <= 5; n++)
    plugs.push([
      `hand-${n}`,
      'mic-dynamic-stage',
      `Hand ${n}`,
      'questioner',
      'floor',
      { distance: 0.06 },
    ]);
  for (let n = 1; n <= 4; n++)
    plugs.push([`hall-${n}`, 'mic-shotgun', `Hall ${n}`, 'audience', 'gallery', { distance: 5 }]);
  plugs.forEach(([id, classId, name, person, place, settings], index) => {
    const box = index < 15 ? 'box-a' : 'box-b';
    const channel = index < 15 ? index + 1 : index - 14;
    draft
      .device(id, classId, { name, place, settings, ...(person === null ? {} : { person }) })
      .link(`${id}.out`, `${box}.mic-${channel}`, place === 'gallery' ? 25 : 15);
    if (classId !== 'mic-dynamic-stage')
      draft.do({ type: 'setControl', deviceId: box, control: `phantom-${channel}`, value: true });
  });
  return draft;
};

const listening = (draft: RigDraft): RigDraft => {
  draft
    .device('network', 'network-switch-16', { name: 'Sound network', place: 'control' })
    .device('sound-desk', 'desk-network', { name: 'Sound desk', place: 'control' })
    .link('box-a.network', 'network.port-1', 60)
    .link('box-b.network', 'network.port-2', 85)
    .link('network.port-3', 'sound-desk.network', 5)
    .link('network.port-4', 'computer.network', 5)
    .link('sound-desk.main-1', 'switcher.sound-1', 10)
    .link('sound-desk.main-2', 'switcher.sound-2', 10);
  const listeners: [who: string, name: string][] = [
    ['chair', 'Chair'],
    ['proposer', 'Proposer'],
    ['opposer', 'Opposer'],
    ['desk', 'Sound desk'],
  ];
  listeners.forEach(([who, name], index) =>
    draft
      .device(`mixer-${who}`, 'personal-mixer', { name: `${name} personal mixer`, person: who })
      .device(`phones-${who}`, 'headphones-closed', { name: `${name} headphones`, person: who })
      .link(`network.port-${index + 5}`, `mixer-${who}.network`, 30)
      .link(`mixer-${who}.phones`, `phones-${who}.in`, 2),
  );
  ['left front', 'right front'].forEach((name, index) =>
    draft
      .device(`loudspeaker-${index + 1}`, 'loudspeaker-active', {
        name: `Loudspeaker ${name}`,
        place: 'floor',
        settings: { volume: -24 },
      })
      .link(`sound-desk.mix-${index + 1}`, `loudspeaker-${index + 1}.in`, 40)
      .do({
        type: 'placeDevice',
        deviceId: `loudspeaker-${index + 1}`,
        at: { xM: index === 0 ? 4 : 20, yM: 12, facingDeg: 180 },
        aim: null,
      }),
  );
  draft.device('intercom', 'intercom-base', { name: 'Intercom base', place: 'control' });
  ['director', 'desk', 'roamer-1', 'roamer-2', 'roamer-3', 'floor'].forEach((who, index) =>
    draft
      .device(`pack-${who}`, 'intercom-pack', {
        name: `Intercom ${who.replace('-', ' ')}`,
        person: who,
      })
      .link(`pack-${who}.line`, `intercom.port-${index + 1}`, 80),
  );
  return draft;
};

const programme = (draft: RigDraft): RigDraft =>
  draft
    .shot('roaming-1', {
      personId: 'proposer',
      wanted: 'waist',
      distanceM: 4,
      furthestM: 8,
      backgroundM: 3,
      lightLux: 320,
    })
    .shot('roaming-2', {
      personId: 'opposer',
      wanted: 'waist',
      distanceM: 4.1,
      furthestM: 8,
      backgroundM: 3,
      lightLux: 320,
    })
    .shot('fixed-chair', {
      personId: 'chair',
      wanted: 'waist',
      distanceM: 11,
      furthestM: 14,
      backgroundM: 1.5,
      lightLux: 280,
    })
    .shot('fixed-wide', {
      sightId: 'benches',
      wanted: 'whole',
      distanceM: 14,
      furthestM: 15,
      lightLux: 250,
    })
    .scene('chair', 'Chair', [
      ['fixed-chair', 'full'],
      ['graphics', 'over'],
    ])
    .scene('proposer', 'Proposer', [
      ['roaming-1', 'full'],
      ['graphics', 'over'],
    ])
    .scene('opposer', 'Opposer', [
      ['roaming-2', 'full'],
      ['graphics', 'over'],
    ])
    .scene('both', 'Both speakers', [
      ['roaming-1', 'left half'],
      ['roaming-2', 'right half'],
      ['graphics', 'over'],
    ])
    .scene('slides', 'Slides with speaker', [
      ['slides', 'full'],
      ['roaming-1', 'inset'],
      ['roaming-2', 'inset'],
    ])
    .scene('hall', 'The hall', [['fixed-wide', 'full']])
    .scene('vote', 'The vote', [
      ['graphics', 'full'],
      ['fixed-wide', 'inset'],
    ])
    .do({
      type: 'addButton',
      buttonId: 'black',
      button: { label: 'Black', does: { type: 'black' }, guard: 'press twice' },
    })
    .do({
      type: 'addButton',
      buttonId: 'go-live',
      button: { label: 'Go live', does: { type: 'stream', turn: 'start' }, guard: 'hold' },
    })
    .do({
      type: 'addButton',
      buttonId: 'end-stream',
      button: {
        label: 'End stream',
        does: { type: 'stream', turn: 'end' },
        guard: 'under a cover',
      },
    });

/** Gains of the stage boxes as the sound desk left them, channel by channel: each voice at the house level. @unit dB */
const BOX_A = [58, 53, 53, ...new Array<number>(BENCH * 2).fill(54)];
const BOX_B = [57, 57, 57, 57, 57, 50, 50, 50, 50];

const setGains = (draft: RigDraft): RigDraft => {
  for (const [deviceId, gains] of [
    ['box-a', BOX_A],
    ['box-b', BOX_B],
  ] as const)
    gains.forEach((value, index) =>
      draft.do({ type: 'setControl', deviceId, control: `gain-${index + 1}`, value }),
    );
  return draft;
};

/** Harbour Hall: a debating hall with long runs, volunteers and a chamber that others use during the week. */
export const harbourHall = (): Rig => {
  const draft = new RigDraft('Harbour Hall')
    .do({
      type: 'writeNotes',
      notes:
        'A debate a fortnight, run by volunteers. Coax and network lie in the trunking under ' +
        'the gallery; cables that cross the floor are taped and ramped. Loudspeakers and the ' +
        'gallery cameras hang over people: second fixings, checked by someone competent. The ' +
        'distribution of mains in the control room is the hall’s electrician’s.',
    })
    .place('floor', 'Floor')
    .place('lectern', 'Lectern')
    .place('gallery', 'Gallery')
    .place('control', 'Control room');
  for (const part of [
    people,
    pictures,
    cameras,
    pictureLinks,
    microphones,
    listening,
    setGains,
    programme,
  ])
    part(draft);
  return draft.build();
};
