import { deviceNameById } from '../../passes/names';
import { CABLE_KG, loaded, type Loaded } from '../../passes/place';
import { figure } from '../../passes/sum';
import { eachStandsRule } from '../rule-of';
import { aboutSupport, kilograms, OVERHEAD_CAUTION } from './supports';

/** What a support bears; arms have a rule of their own. @unit kg */
const bearsKg = ({ support: { figures } }: Loaded): number | null =>
  figures.is === 'arm' ? null : figures.bearsKg;

export const overloaded = eachStandsRule<Loaded>(
  'stands.overloaded',
  {
    looksFor:
      'A desk, a rack, a stand’s head, a bracket or a grid that carries more than it bears.',
    why: 'It gives way, slowly or at once.',
    remedy: 'Take something off, or use one that bears it.',
    source: 'handbook 5-plan, stands; the maker’s figure',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing) => {
      const bears = bearsKg(thing);
      if (bears === null || thing.loadKg <= bears) return null;
      const { name, figures } = thing.support;
      return {
        level: 'stop',
        title: `${name} carries ${kilograms(thing.loadKg)}, it bears ${kilograms(bears)}`,
        says:
          `${name} carries ${kilograms(thing.loadKg)} and bears ${kilograms(bears)}. It gives way, ` +
          'slowly or at once. Take something off, or use one that bears it.' +
          (figures.is === 'overhead' ? ` ${OVERHEAD_CAUTION}` : ''),
      };
    },
    sums: (thing, measured) => [
      {
        label: `What ${thing.support.name} carries`,
        formula: 'sum of the masses',
        inputs: thing.loads.map(({ deviceId, massKg, isHung }) => ({
          name: deviceNameById(measured, deviceId),
          value: massKg + (isHung ? CABLE_KG : 0),
          unit: 'kg',
        })),
        result: thing.loadKg,
        unit: 'kg',
        source: 'typical masses of the classes',
        ...(thing.loadKg > thing.loads.reduce((sum, { massKg }) => sum + massKg, 0) + 1e-9
          ? { note: 'With the arms that are clamped to it, 2 kg each, and what they hold.' }
          : {}),
      },
    ],
    fixes: (thing, measured) => {
      const bears = bearsKg(thing) ?? 0;
      const off: (typeof thing.loads)[number][] = [];
      let loadKg = thing.loadKg;
      for (const load of [...thing.loads].sort((a, b) => b.massKg - a.massKg)) {
        if (loadKg <= bears) break;
        off.push(load);
        loadKg -= load.massKg;
      }
      if (loadKg > bears || off.length === 0) return [];
      const names = off.map(
        ({ deviceId, massKg }) => `${deviceNameById(measured, deviceId)} (${figure(massKg, 1)} kg)`,
      );
      const label = `Take ${names.join(' and ')} off it`;
      return [
        {
          label,
          command: {
            type: 'batch',
            label,
            commands: off.map(({ deviceId }) => ({ type: 'standDevice', deviceId, on: null })),
          },
        },
      ];
    },
  },
);
