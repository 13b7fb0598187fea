import { RigDraft } from '../catalogue/draft';
import { type Rig, USUAL_DELIVERABLES } from '../rig';

/**
 * Worked F: five cameras taken in by themselves at 50 Mb/s, eight voices on tracks of their own, and a
 * copy of the stream at 6 Mb/s, onto a drive of 20 TB; a show of 90 minutes.
 */
export const workedShow = (): Rig => {
  const draft = new RigDraft('Worked F')
    .do({ type: 'writeBrief', brief: { lengthMin: 90 } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'copy',
      deliverable: { ...USUAL_DELIVERABLES['programme recording'], bitrateMbps: 6 },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'cameras',
      deliverable: { ...USUAL_DELIVERABLES['camera recordings'], bitrateMbps: 50 },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'voices',
      deliverable: USUAL_DELIVERABLES['voice tracks'],
    })
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('copy', 'recording-programme', { name: 'Stream copy' })
    .device('cameras', 'recording-pictures', { name: 'Cameras' })
    .device('voices', 'recording-tracks', { name: 'Voices' })
    .device('interface', 'interface-8', { name: 'Interface' })
    .do({
      type: 'setFigure',
      deviceId: 'computer',
      path: 'storage.capacityGb',
      value: 20_000,
    })
    .link('computer.programme', 'copy.in')
    .link('computer.pictures', 'cameras.in')
    .link('computer.tracks', 'voices.in')
    .link('interface.usb', 'computer.usb-6');
  for (let n = 1; n <= 5; n++)
    draft
      .device(`camera-${n}`, 'camera-camcorder', {
        name: `Camera ${n}`,
        settings: { format: '1920x1080p25' },
      })
      .device(`capture-${n}`, 'capture-5g', { name: `Capture ${n}` })
      .link(`camera-${n}.hdmi`, `capture-${n}.in`)
      .link(`capture-${n}.usb`, `computer.usb-${n}`, 1, 'usb-5g');
  for (let n = 1; n <= 8; n++)
    draft
      .device(`mic-${n}`, 'mic-dynamic-stage', { name: `Voice ${n}` })
      .link(`mic-${n}.out`, `interface.mic-${n}`);
  return draft.build();
};
