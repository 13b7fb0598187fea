import { deviceNameById } from '../../passes/names';
import { loaded, type Loaded } from '../../passes/place';
import { eachStandsRule } from '../rule-of';
import { aboutSupport } from './supports';

export const supportUnplaced = eachStandsRule<Loaded>(
  'stands.unplaced',
  {
    looksFor: 'A desk, stand or rack that carries something and stands nowhere on the plan.',
    why: 'Where the things on it are cannot be told either.',
    remedy: 'Say where it stands.',
    source: 'the plan',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: ({ support, loads }, measured) =>
      support.at || loads.length === 0
        ? null
        : {
            level: 'note',
            title: `Where ${support.name} stands has not been said`,
            says:
              `${support.name} carries ` +
              `${loads.map(({ deviceId }) => deviceNameById(measured, deviceId)).join(', ')} and has no place on ` +
              'the plan, so they have none. Say where it stands.',
          },
  },
);
