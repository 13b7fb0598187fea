import { allLengths, analyse, apply, asideCommands, type Rig, RigDraft } from '@echo-loom/core';
import { harbourHallDay } from './days';
import { harbourHallGear } from './gear';
import { numberedAndTicked } from './harbour-hall-built';
import { light } from './harbour-hall-light';
import { BENCH, people } from './harbour-hall-people';
import { clapped } from './harbour-hall-claps';
import { plan } from './harbour-hall-plan';
import { programme, setGains } from './harbour-hall-programme';
import { waysAndMains } from './harbour-hall-ways';

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
      settings: { 'overlays-off': true, 'focal-length': 24, iso: 200 },
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
export const microphones = (draft: RigDraft): RigDraft => {
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
        // With every microphone open, all their loops together stay 6 dB from howling.
        settings: { volume: -28 },
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

/** The hall rings, and it is listed: somebody has looked at it and put it aside. */
const lookedAt = (rig: Rig): Rig => {
  const analysis = analyse(rig);
  const rings = analysis.findings.filter(({ code }) => code === 'place.rings-long');
  const reason = 'The hall is listed: nothing may be hung on its walls. Microphones stay close.';
  return asideCommands(analysis, rings, reason).reduce(apply, rig);
};

/** Harbour Hall: a debating hall with long runs, volunteers and a chamber that others use during the week. */
/** What follows a person about, or goes up to the gallery by the cable that hangs there already. */
const BROUGHT = /^(roaming-\d-sdi|switcher-aux-\d|pack-.*-line|sound-desk-mix-1-to-loudspeaker-1$)/;

/** Cut to the ducts, but for those that were there before them. */
const cut = (rig: Rig): Rig =>
  apply(rig, {
    type: 'batch',
    label: 'Cut every cable to the ducts',
    commands: allLengths(analyse(rig)).filter(
      (command) => command.type === 'setCable' && !BROUGHT.test(command.linkId),
    ),
  });

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
    .do({ type: 'tagRig', tags: ['volunteers', 'fortnightly'] })
    .do({ type: 'addShow', showId: 'debate-1', show: { name: 'Debate', on: '2026-12-03' } })
    .do({ type: 'addShow', showId: 'debate-2', show: { name: 'Debate', on: '2026-12-17' } })
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
    plan,
    waysAndMains,
    light,
    harbourHallGear,
    harbourHallDay,
  ])
    part(draft);
  return numberedAndTicked(lookedAt(clapped(cut(draft.build()))));
};
