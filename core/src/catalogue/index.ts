import type { Kind, Model } from '../rig/devices/model';
import { entry } from '../rig/order';
import { preamps } from './preamps';
import { directBoxes } from './direct-boxes';
import { processors } from './processors';
import { stageBoxes } from './stage-boxes';
import { listening } from './listening';
import { recorders } from './recorders';
import { embedders } from './embedders';
import { instruments } from './instruments';
import { cameras } from './cameras';
import { captures } from './captures';
import { computers, hubs } from './computers';
import { interfaces } from './interfaces';
import { lights } from './lights';
import { microphones } from './microphones';
import { mixers } from './mixers';
import { networkSound } from './network-sound';
import { outlets } from './outlets';
import { players } from './players';
import { programs } from './programs';
import { picturePaths } from './picture-paths';
import { screens } from './screens';
import { switchers } from './switchers';

export * from '../rig/links/cables';
export { bodyOf } from './bodies';
export { overNetworkOf, supplyOf } from './supplies';
export { WANTED_FORMATS } from './picture-parts';

/**
 * Every device class, in the order of the chain. Figures are typical; a user copies a class and
 * types the data sheet over it.
 */
export const CATALOGUE: readonly Model[] = [
  ...cameras,
  ...players,
  ...programs,
  ...picturePaths,
  ...switchers,
  ...captures,
  ...microphones,
  ...instruments,
  ...preamps,
  ...directBoxes,
  ...processors,
  ...interfaces,
  ...mixers,
  ...stageBoxes,
  ...listening,
  ...recorders,
  ...embedders,
  ...networkSound,
  ...computers,
  ...hubs,
  ...screens,
  ...lights,
  ...outlets,
];

const byId: Readonly<Record<string, Model>> = Object.fromEntries(
  CATALOGUE.map((model) => [model.classId ?? model.name, model]),
);

/** A device class by id. @throws RangeError for an id the catalogue does not have */
export const classById = (id: string): Model => {
  const model = entry(byId, id);
  if (!model) throw new RangeError(`the catalogue has no class "${id}"`);
  return model;
};

/** Words people search by that are not in the class's own text. */
const KIND_WORDS: Readonly<Partial<Record<Kind, string>>> = {
  microphone: 'mic voice',
  wireless: 'mic radio',
  interface: 'audio preamp usb',
  capture: 'grabber hdmi usb',
  switcher: 'vision mixer',
  mixer: 'desk console',
  computer: 'pc',
  stream: 'live broadcast',
  recording: 'file',
  call: 'caller remote guest',
  display: 'screen',
  phone: 'mobile',
  booster: 'gain lift',
  light: 'lamp lighting fixture key fill hair',
};

/** Words a class is found by besides its name and what is said about it. */
export const searchWords = (model: Model): string =>
  `${model.kind.replace('-', ' ')} ${KIND_WORDS[model.kind] ?? ''}`.trim();
