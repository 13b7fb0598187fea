import { analyse } from '../../analyse';
import { type Answers, STARTING_POINTS } from '../../build';
import { wired } from '../../build/wire';
import { differenceOf } from '../../predict/compare';
import { apply, type HouseRules, type Rig } from '../../rig';
import { demoRig } from '../demo-for-cases';
import type { Finding } from '../rule';

/** Devices and cables of answers, before anything is placed or mended. */
export const rigOf = (answers: Answers): Rig => wired(answers).rig;

export const point = (id: string) => {
  const found = STARTING_POINTS.find((candidate) => candidate.id === id);
  if (!found) throw new Error(`no starting point ${id}`);
  return found;
};

export const two = rigOf(point('two-voices').answers('Two'));

export const solo = rigOf(point('solo-desk').answers('Solo'));

export const rule = (rig: Rig, rules: Partial<HouseRules>): Rig =>
  apply(rig, { type: 'setHouseRules', rules });

export const found = (rig: Rig, code: string): Finding[] =>
  analyse(rig).findings.filter((finding) => finding.code === code);

/** Codes that come and go when a school is changed. */
export const changes = (
  rig: Rig,
  rules: Partial<HouseRules>,
): { gone: string[]; fresh: string[] } => {
  const { gone, fresh } = differenceOf(analyse(rig), { type: 'setHouseRules', rules });
  return {
    gone: [...new Set(gone.map(({ code }) => code))],
    fresh: [...new Set(fresh.map(({ code }) => code))],
  };
};

export const usbSolo = rigOf({
  ...point('solo-desk').answers('USB'),
  deliverables: ['stream', 'voice tracks'],
  houseRules: { microphones: 'usb', recordingsOfVoice: 1 },
});

export const secondFiring = (): Rig => demoRig('second-firing');
