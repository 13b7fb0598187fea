import { RigDraft, type Rig } from '@echo-loom/core';

/**
 * Devices of one studio cell: microphones in a stage box and a mixer, cameras through splitters
 * into a switcher, one computer.
 */
const CELL = 25;

const cell = (draft: RigDraft, n: number): void => {
  const id = (name: string) => `${name}-${n}`;
  draft
    .device(id('computer'), 'computer-desktop')
    .device(id('switcher'), 'switcher-8')
    .device(id('mixer'), 'mixer-16')
    .device(id('multiview'), 'display-monitor')
    .device(id('stream'), 'stream')
    .device(id('tracks'), 'recording-tracks');
  for (let m = 1; m <= 9; m++)
    draft
      .device(id(`mic-${m}`), 'mic-dynamic-stage', { person: 'host' })
      .link(`${id(`mic-${m}`)}.out`, `${id('mixer')}.mic-${m}`, 5);
  for (let c = 1; c <= 5; c++) {
    draft
      .device(id(`camera-${c}`), 'camera-camcorder')
      .device(id(`splitter-${c}`), 'splitter-hdmi-2');
    draft
      .link(`${id(`camera-${c}`)}.hdmi`, `${id(`splitter-${c}`)}.in`, 3)
      .link(`${id(`splitter-${c}`)}.out-1`, `${id('switcher')}.in-${c}`, 3);
  }
  draft
    .link(`${id('switcher')}.usb`, `${id('computer')}.usb-2`, 2, 'usb-5g')
    .link(`${id('switcher')}.multiview`, `${id('multiview')}.in`)
    .link(`${id('mixer')}.usb`, `${id('computer')}.usb-5`, 2, 'usb-2');
  draft
    .link(`${id('computer')}.programme`, `${id('stream')}.in`)
    .link(`${id('computer')}.tracks`, `${id('tracks')}.in`);
};

/** A rig of about so many devices, in cells of 25. */
export const benchRig = (devices: number): Rig => {
  const draft = new RigDraft(`${devices} devices`).person('host', 'Host');
  for (let n = 0; n < Math.ceil(devices / CELL); n++) cell(draft, n);
  return draft.build();
};

const BLOCKS = 20;
const DENSE_LINKS = 1500;

/**
 * 500 devices with 1,500 links: twenty control rooms of 25 devices, whose programmes and files also
 * go to one another.
 */
export const denseRig = (): Rig => {
  const draft = new RigDraft('500 devices, 1,500 links').person('host', 'Host');
  for (let n = 0; n < BLOCKS; n++) {
    const id = (name: string) => `${name}-${n}`;
    draft
      .device(id('desk'), 'mixer-16')
      .device(id('switcher'), 'switcher-20')
      .device(id('computer'), 'computer-desktop')
      .device(id('stream'), 'stream')
      .device(id('tracks'), 'recording-tracks')
      .device(id('pictures'), 'recording-pictures');
    draft.link(`${id('desk')}.usb`, `${id('computer')}.usb-5`, 2, 'usb-2');
    for (let c = 1; c <= 4; c++) {
      draft
        .device(id(`splitter-${c}`), 'splitter-sdi-4')
        .device(id(`camera-${c}`), 'camera-studio');
      draft.link(`${id(`camera-${c}`)}.sdi`, `${id(`splitter-${c}`)}.in`, 10);
      for (let out = 1; out <= 4; out++)
        draft.link(
          `${id(`splitter-${c}`)}.out-${out}`,
          `${id('switcher')}.in-${(c - 1) * 4 + out}`,
          10,
        );
    }
    for (let m = 1; m <= 8; m++)
      draft
        .device(id(`mic-${m}`), 'mic-dynamic-stage', { person: 'host' })
        .link(`${id(`mic-${m}`)}.out`, `${id('desk')}.mic-${m}`, 5);
    draft.device(id('call-1'), 'call').device(id('call-2'), 'call').device(id('call-3'), 'call');
    for (let c = 1; c <= 3; c++)
      draft
        .link(`${id(`call-${c}`)}.receive`, `${id('computer')}.call-in`)
        .link(`${id('computer')}.call-out`, `${id(`call-${c}`)}.send`);
  }
  let links = Object.keys(draft.build().links).length;
  for (let step = 0; step < BLOCKS; step++)
    for (let n = 0; n < BLOCKS; n++)
      for (const [portId, into] of [
        ['programme', 'stream'],
        ['tracks', 'tracks'],
        ['pictures', 'pictures'],
      ] as const) {
        if (links++ >= DENSE_LINKS) return draft.build();
        const to = `${into}-${(n + step) % BLOCKS}`;
        draft.do({
          type: 'connect',
          linkId: `computer-${n}-${portId}-to-${to}`,
          from: { deviceId: `computer-${n}`, portId },
          to: { deviceId: to, portId: 'in' },
          cable: { kind: 'inside', lengthM: 0 },
        });
      }
  return draft.build();
};
