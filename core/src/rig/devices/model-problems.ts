import { FORMAT_PATTERN } from '../../units';
import { AS_RECEIVED, BEST_THAT_FITS, FIRST_CONNECTED } from './encoding';
import type { Control, Model } from './model';
import { PATTERNS } from './sound-model';

/** Something in a model that no single field can be wrong about. */
export interface ModelProblem {
  readonly path: (string | number)[];
  readonly message: string;
}

const PATTERN_NAMES: ReadonlySet<string> = new Set(PATTERNS);
const NOT_FORMATS: ReadonlySet<string> = new Set([AS_RECEIVED, BEST_THAT_FITS, FIRST_CONNECTED]);

/**
 * What one field cannot say: that routes name ports and controls that exist, and that controls of
 * formats offer formats.
 */
export const modelProblems = (model: Model): readonly ModelProblem[] => {
  const problems: ModelProblem[] = [];
  const say = (path: ModelProblem['path'], message: string): void =>
    void problems.push({ path, message });
  const needsControl = (path: ModelProblem['path'], id: string, type: Control['type']) => {
    const control = Object.hasOwn(model.controls, id) ? model.controls[id] : undefined;
    if (!control) say(path, `expected a control of this model; there is no "${id}"`);
    else if (control.type !== type)
      say(path, `expected a control of type ${type}; "${id}" is ${control.type}`);
  };
  /** A control of patterns must offer patterns: the room is heard through its value. */
  const needsPatterns = (path: ModelProblem['path'], id: string) => {
    needsControl(path, id, 'choice');
    const control = Object.hasOwn(model.controls, id) ? model.controls[id] : undefined;
    if (
      control?.type === 'choice' &&
      control.options.some(({ value }) => !PATTERN_NAMES.has(value))
    )
      say(path, `expected every option of "${id}" to be one of ${[...PATTERN_NAMES].join(', ')}`);
  };
  for (const [portId, port] of Object.entries(model.ports)) {
    const at = ['ports', portId];
    if (port.emits?.picture) {
      needsControl(
        [...at, 'emits', 'picture', 'formatControl'],
        port.emits.picture.formatControl,
        'choice',
      );
      if (typeof port.emits.picture.clean === 'string')
        needsControl([...at, 'emits', 'picture', 'clean'], port.emits.picture.clean, 'switch');
      if (typeof port.emits.picture.copyProtected === 'string')
        needsControl(
          [...at, 'emits', 'picture', 'copyProtected'],
          port.emits.picture.copyProtected,
          'switch',
        );
      if (port.emits.picture.codingControl)
        needsControl(
          [...at, 'emits', 'picture', 'codingControl'],
          port.emits.picture.codingControl,
          'choice',
        );
      if (port.emits.picture.encodingControl)
        needsControl(
          [...at, 'emits', 'picture', 'encodingControl'],
          port.emits.picture.encodingControl,
          'choice',
        );
    }
    if (port.records) {
      if (!port.ends) say([...at, 'records'], 'expected "ends" as well: what is the file made of?');
      if (port.records.control !== null)
        needsControl([...at, 'records', 'control'], port.records.control, 'switch');
    }
    if (port.emits?.sound?.type === 'microphone') {
      const { distanceControl, pattern } = port.emits.sound;
      needsControl([...at, 'emits', 'sound', 'distanceControl'], distanceControl, 'amount');
      if (typeof pattern === 'object')
        needsPatterns([...at, 'emits', 'sound', 'pattern', 'control'], pattern.control);
    }
    if (port.family === 'picture' && port.rangeControl)
      needsControl([...at, 'rangeControl'], port.rangeControl, 'choice');
    if (port.family === 'analogue' && port.earVolumeControl)
      needsControl([...at, 'earVolumeControl'], port.earVolumeControl, 'gain');
    if (port.family === 'analogue' && port.speakerVolumeControl)
      needsControl([...at, 'speakerVolumeControl'], port.speakerVolumeControl, 'gain');
    if (port.family === 'analogue' && port.speakerMuteControl)
      needsControl([...at, 'speakerMuteControl'], port.speakerMuteControl, 'switch');
    if (port.family === 'analogue' && port.phantomSupply)
      needsControl([...at, 'phantomSupply', 'control'], port.phantomSupply.control, 'switch');
  }
  if (model.light) {
    needsControl(['light', 'dimmerControl'], model.light.dimmerControl, 'amount');
    if (model.light.colourControl !== undefined)
      needsControl(['light', 'colourControl'], model.light.colourControl, 'amount');
    if (model.light.leastK > model.light.mostK)
      say(['light', 'mostK'], 'expected mostK not to be less than leastK');
  }
  for (const [routeId, route] of Object.entries(model.routes)) {
    const at = ['routes', routeId];
    for (const [end, side] of [
      ['from', 'out'],
      ['to', 'in'],
    ] as const)
      route[end].forEach((portId, index) => {
        const port = Object.hasOwn(model.ports, portId) ? model.ports[portId] : undefined;
        if (!port)
          say([...at, end, index], `expected a port of this model; there is no "${portId}"`);
        else if (port.direction === side)
          say([...at, end, index], `"${portId}" points the other way`);
      });
    if (route.sound?.gain && 'control' in route.sound.gain)
      needsControl([...at, 'sound', 'gain', 'control'], route.sound.gain.control, 'gain');
    if (route.sound?.pad)
      needsControl([...at, 'sound', 'pad', 'control'], route.sound.pad.control, 'switch');
    const compressor = route.sound?.compressor;
    if (compressor) {
      needsControl([...at, 'sound', 'compressor', 'inSwitch'], compressor.inSwitch, 'switch');
      for (const key of ['thresholdControl', 'ratioControl', 'makeUpControl'] as const)
        needsControl([...at, 'sound', 'compressor', key], compressor[key], 'amount');
    }
    const gate = route.sound?.gate;
    if (gate) {
      needsControl([...at, 'sound', 'gate', 'inSwitch'], gate.inSwitch, 'switch');
      for (const key of ['thresholdControl', 'rangeControl'] as const)
        needsControl([...at, 'sound', 'gate', key], gate[key], 'amount');
    }
    const { deEsser, equaliser } = route.sound ?? {};
    if (deEsser) {
      needsControl([...at, 'sound', 'deEsser', 'inSwitch'], deEsser.inSwitch, 'switch');
      needsControl([...at, 'sound', 'deEsser', 'rangeControl'], deEsser.rangeControl, 'amount');
    }
    if (equaliser) {
      needsControl([...at, 'sound', 'equaliser', 'inSwitch'], equaliser.inSwitch, 'switch');
      equaliser.bands.forEach(({ control }, index) =>
        needsControl([...at, 'sound', 'equaliser', 'bands', index, 'control'], control, 'amount'),
      );
    }
    if (route.picture && route.picture.does !== 'pass')
      needsControl([...at, 'picture', 'formatControl'], route.picture.formatControl, 'choice');
    if (route.picture?.does === 'capture')
      needsControl([...at, 'picture', 'encodingControl'], route.picture.encodingControl, 'choice');
    if (route.delay && 'control' in route.delay)
      needsControl([...at, 'delay', 'control'], route.delay.control, 'amount');
    if (route.when && !Object.hasOwn(model.controls, route.when.control))
      say(
        [...at, 'when', 'control'],
        `expected a control of this model; there is no "${route.when.control}"`,
      );
  }
  const { camera } = model;
  if (camera) {
    for (const key of ['focalControl', 'fNumberControl', 'shutterControl', 'isoControl'] as const)
      needsControl(['camera', key], camera[key], 'amount');
    for (const key of ['autoExposureControl', 'autofocusControl'] as const)
      if (camera[key] !== undefined) needsControl(['camera', key], camera[key], 'switch');
    if (camera.greyControl) needsControl(['camera', 'greyControl'], camera.greyControl, 'amount');
    if (camera.stabiliser)
      needsControl(['camera', 'stabiliser', 'control'], camera.stabiliser.control, 'switch');
    if (camera.sleep) needsControl(['camera', 'sleep', 'control'], camera.sleep.control, 'switch');
    if (camera.battery)
      needsControl(['camera', 'battery', 'mainsControl'], camera.battery.mainsControl, 'switch');
    if (camera.focusNoise)
      needsControl(['camera', 'focusNoise', 'control'], camera.focusNoise.control, 'switch');
  }
  if (model.light?.battery)
    needsControl(['light', 'battery', 'mainsControl'], model.light.battery.mainsControl, 'switch');
  if (model.storage?.bitrateControl)
    needsControl(['storage', 'bitrateControl'], model.storage.bitrateControl, 'amount');
  if (model.supplyControl) needsControl(['supplyControl'], model.supplyControl, 'switch');
  if (model.clampControl) needsControl(['clampControl'], model.clampControl, 'switch');
  if (model.mixes && model.mixes.resizingKeyers > model.mixes.keyers)
    say(
      ['mixes', 'resizingKeyers'],
      `expected at most ${model.mixes.keyers}, as many as there are keyers`,
    );
  // A control that names formats must offer formats: the picture pass reads its value as one.
  const formatControls = new Set<string>();
  for (const port of Object.values(model.ports))
    if (port.emits?.picture) formatControls.add(port.emits.picture.formatControl);
  for (const route of Object.values(model.routes))
    if (route.picture && route.picture.does !== 'pass')
      formatControls.add(route.picture.formatControl);
  for (const id of formatControls) {
    const control = Object.hasOwn(model.controls, id) ? model.controls[id] : undefined;
    if (control?.type !== 'choice') continue;
    control.options.forEach((option, index) => {
      if (!NOT_FORMATS.has(option.value) && !FORMAT_PATTERN.test(option.value))
        say(
          ['controls', id, 'options', index, 'value'],
          'expected a picture format such as 1920x1080p60',
        );
    });
  }
  return problems;
};
