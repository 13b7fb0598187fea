import { deviceNameById } from '../../passes/names';
import { type InRack, inRack, loaded, type Loaded, RACK_WIDTH_M } from '../../passes/place';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, RACK_UNIT_M, type SimpleCommand, type SupportOf } from '../../rig';
import { batchFix, eachStandsRule } from '../rule-of';
import { aboutSupport, figuresAs, kilograms } from './supports';

const rackOf = (
  thing: Loaded,
  measured: Measured,
): { readonly rack: SupportOf<'rack'>; readonly things: readonly InRack[] } | null => {
  const rack = figuresAs(thing, 'rack');
  return rack ? { rack, things: inRack(measured, thing) } : null;
};

/** Everything put in from below, the heavy things lowest, one above the other. */
const stacked = (measured: Measured, things: readonly InRack[]): SimpleCommand[] => {
  let next = 0;
  return [...things]
    .sort((a, b) => b.massKg - a.massKg || a.from - b.from)
    .flatMap(({ deviceId, units }): SimpleCommand[] => {
      const on = entry(measured.rig.devices, deviceId)?.on;
      const upM = Number((next * RACK_UNIT_M).toFixed(5));
      next += units;
      return on ? [{ type: 'standDevice', deviceId, on: { ...on, upM } }] : [];
    });
};

const stackFix = (thing: Loaded, measured: Measured) => {
  const found = rackOf(thing, measured);
  return found && found.things.reduce((sum, { units }) => sum + units, 0) <= found.rack.units
    ? [
        batchFix(
          'Put everything in from below, the heaviest lowest',
          stacked(measured, found.things),
        ),
      ]
    : [];
};

export const rackDouble = eachStandsRule<Loaded>(
  'stands.rack-double',
  {
    looksFor: 'Two things in the same units of a rack, or one that sticks out above its top.',
    why: 'They cannot both be screwed in.',
    remedy: 'Move one, or use a taller rack.',
    source: 'IEC 60297: units of 44.45 mm',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const found = rackOf(thing, measured);
      if (!found) return null;
      const { things, rack } = found;
      const over = things.find(({ from, units }) => from + units - 1 > rack.units || from < 1);
      const double = things.flatMap((a, at) =>
        things
          .slice(at + 1)
          .filter((b) => a.from < b.from + b.units && b.from < a.from + a.units)
          .map(
            (b) =>
              `${deviceNameById(measured, a.deviceId)} and ${deviceNameById(measured, b.deviceId)}`,
          ),
      )[0];
      if (!double && !over) return null;
      const tall = over ? deviceNameById(measured, over.deviceId) : '';
      return {
        level: 'warn',
        title: double ? `${double} share units` : `${tall} does not fit in`,
        says: double
          ? `In ${thing.support.name}, ${double} are meant for the same units. ` +
            'They cannot both be screwed in. Move one.'
          : `${tall} reaches beyond the ${rack.units} units of ${thing.support.name}. ` +
            'Move it, or use a taller rack.',
      };
    },
    sums: (thing, measured) => {
      const found = rackOf(thing, measured);
      return found
        ? [
            {
              label: 'Units that are needed',
              formula: 'sum of the units',
              inputs: found.things.map(({ deviceId, units }) => ({
                name: deviceNameById(measured, deviceId),
                value: units,
                unit: 'U',
              })),
              result: found.things.reduce((sum, { units }) => sum + units, 0),
              unit: 'U',
              source: 'typical sizes of the classes',
            },
          ]
        : [];
    },
    moves: true,
    fixes: stackFix,
  },
);

export const topHeavy = eachStandsRule<Loaded>(
  'stands.top-heavy',
  {
    looksFor: 'A rack with more than half of its weight above its middle.',
    why: 'It goes over when it is rolled over a cable or pulled at.',
    remedy: 'Put the heaviest lowest; fix a tall one to the wall.',
    source: 'handbook 5-plan, stands: tip-over',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const found = rackOf(thing, measured);
      if (!found || found.things.length < 2) return null;
      const above = weightAbove(found.things, found.rack.units / 2);
      const all = found.things.reduce((sum, { massKg }) => sum + massKg, 0);
      return above <= all / 2
        ? null
        : {
            level: 'warn',
            title: `${kilograms(above)} of ${kilograms(all)} are in the upper half`,
            says:
              `${thing.support.name} has ${kilograms(above)} of its ${kilograms(all)} above its middle. ` +
              'It goes over when it is rolled over a cable or pulled at. Put the heaviest lowest.',
          };
    },
    moves: true,
    fixes: stackFix,
  },
);

/** Mass of what has its middle above a unit. @unit kg */
const weightAbove = (things: readonly InRack[], unit: number): number =>
  things
    .filter(({ from, units }) => from - 1 + units / 2 > unit)
    .reduce((sum, { massKg }) => sum + massKg, 0);

/** Air and plugs behind a device in a rack. @unit m */
const BEHIND_M = 0.08;

export const rackDeep = eachStandsRule<Loaded>(
  'stands.rack-deep',
  {
    looksFor: 'Something too deep or too wide for the rack it is in.',
    why: 'The door does not close, the plugs are bent, and the air does not get out.',
    remedy: 'Use a deeper rack, or stand it on a shelf.',
    source: 'IEC 60297: 450 mm between the rails',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const found = rackOf(thing, measured);
      const bad = found?.things.find(
        ({ depthM, widthM, units }) =>
          depthM + BEHIND_M > found.rack.depthM || (widthM > RACK_WIDTH_M + EARS_M && units > 0),
      );
      if (!found || !bad) return null;
      const isDeep = bad.depthM + BEHIND_M > found.rack.depthM;
      return {
        level: 'warn',
        title: `${deviceNameById(measured, bad.deviceId)} is too ${isDeep ? 'deep' : 'wide'} for ${thing.support.name}`,
        says: isDeep
          ? `${deviceNameById(measured, bad.deviceId)} is ${figure(bad.depthM, 2)} m deep and its plugs need ` +
            `${figure(100 * BEHIND_M, 0)} cm behind it; ${thing.support.name} has ` +
            `${figure(found.rack.depthM, 2)} m. The plugs are bent. Use a deeper rack.`
          : `${deviceNameById(measured, bad.deviceId)} is ${figure(bad.widthM, 2)} m wide; between ` +
            `the rails there are ` +
            `${figure(RACK_WIDTH_M, 2)} m. Stand it on a desk.`,
      };
    },
  },
);

/** The ears by which a panel is screwed in stand before the rails. @unit m */
const EARS_M = 0.035;

/** What a closed rack gets rid of without a fan, for each unit. @unit W */
const WATTS_A_UNIT = 20;

export const rackHot = eachStandsRule<Loaded>(
  'stands.rack-hot',
  {
    looksFor: 'A rack with more heat in it than goes out by itself.',
    why: 'What is on top gets what all the others give off, and shuts down in the second hour.',
    remedy: 'Leave units free between the hot ones, open the back, or put a fan in.',
    source: 'typical: about 20 W a unit leave a rack without a fan',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing) => {
      const rack = figuresAs(thing, 'rack');
      if (!rack || thing.heatW <= WATTS_A_UNIT * rack.units) return null;
      return {
        level: 'warn',
        title: `${figure(thing.heatW, 0)} W in ${rack.units} units`,
        says:
          `What is in ${thing.support.name} gives off ${figure(thing.heatW, 0)} W; about ` +
          `${figure(WATTS_A_UNIT * rack.units, 0)} W leave it without a fan. The uppermost gets ` +
          'hottest and shuts down first. Leave units free, open the back, or put a fan in.',
      };
    },
    sums: (thing, measured) => [
      {
        label: `Heat in ${thing.support.name}`,
        formula: 'sum of the heat',
        inputs: inRack(measured, thing).map(({ deviceId, heatW }) => ({
          name: deviceNameById(measured, deviceId),
          value: heatW,
          unit: 'W',
        })),
        result: thing.heatW,
        unit: 'W',
        source: 'typical heat of the classes',
      },
    ],
  },
);
