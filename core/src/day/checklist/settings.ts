import { entry, inOrder, type Rig, settingOf, settingText } from '../../rig';
import { about, type CheckLine, line } from './line';

/** Lines about how things are set. */

export const gainLines = (rig: Rig): CheckLine[] =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const gains = Object.entries(device.model.controls).filter(([, { type }]) => type === 'gain');
    return gains.length === 0
      ? []
      : [
          line({
            ...about(rig, id, device),
            id: `gains ${id}`,
            phase: 'set up',
            what: `Gains of ${device.name} as on its sheet`,
            why: 'Levels are predicted with these.',
            figure: gains
              .map(
                ([control, { label }]) =>
                  `${label} ${settingText(device, control, settingOf(device, control) ?? '')}`,
              )
              .join(', '),
            lookUp: 'gain',
          }),
        ];
  });

export const pictureLines = (rig: Rig): CheckLine[] =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const { camera } = device.model;
    if (device.model.kind !== 'camera' || !camera) return [];
    const text = (control: string): string | null => {
      const value = settingOf(device, control);
      return value === undefined ? null : settingText(device, control, value);
    };
    const of = about(rig, id, device);
    const set = [
      camera.shutterControl,
      camera.isoControl,
      camera.fNumberControl,
      camera.greyControl ?? '',
    ].flatMap((control) => {
      const label = entry(device.model.controls, control)?.label;
      const value = text(control);
      // `Aperture, f/` and `2.8` are read as one.
      return label && value !== null
        ? [`${label.replace(', ', ' ')}${label.endsWith('/') ? '' : ' '}${value}`]
        : [];
    });
    return [
      line({
        ...of,
        id: `frame ${id}`,
        phase: 'test',
        what: `${device.name}: framed, sharp, output clean`,
        why: 'Symbols of the menu that are in the output are in the show.',
        lookUp: 'picture',
        isMust: true,
      }),
      line({
        ...of,
        id: `exposure ${id}`,
        phase: 'test',
        what: `${device.name}: exposure and white balance as planned, set by hand`,
        why: 'A camera that sets itself changes in the middle of a sentence.',
        figure: set.length > 0 ? set.join(', ') : null,
        lookUp: 'picture',
      }),
    ];
  });

export const lightLines = (rig: Rig): CheckLine[] =>
  inOrder(rig.devices).flatMap(([id, device]) =>
    device.model.kind === 'light'
      ? [
          line({
            ...about(rig, id, device),
            id: `light ${id}`,
            phase: 'set up',
            what: `${device.name} on, as on the light sheet`,
            why: 'Exposure is planned with it.',
            lookUp: 'light',
            caution:
              entry(rig.supports, device.on?.supportId ?? '')?.figures.is === 'overhead'
                ? 'It hangs over heads: a second fixing, looked at by somebody competent.'
                : 'It gets hot, and its cable is nobody’s trip.',
          }),
        ]
      : [],
  );

export const reminderLines = (rig: Rig): CheckLine[] =>
  inOrder(rig.reminders).map(([id, { what, value, deviceId, personId }]) => {
    const device = entry(rig.devices, deviceId ?? '');
    return line({
      id: `setting ${id}`,
      phase: 'set up',
      what: `${what}: ${value}`,
      where: device?.name ?? '',
      who: entry(rig.people, personId ?? '')?.name ?? '',
      why: 'It was worth repeating the last time.',
      deviceId,
    });
  });
