import { classById } from '../../catalogue';
import type { Fix } from '../../edits/fix';
import { firstCable, replug } from '../../edits/splice';
import { nameOf } from '../../passes/names';
import { cable } from '../../passes/sound/gains';
import { freeId } from '../../rig';
import { dbvToDbu } from '../../units';
import type { Rule } from '../rule';
import { aboutJoint, analogueJoints, arrivesWell, freeInput, shortBehind } from './joints';
import { LEVEL_TOLERANCE_DB } from './level';

/** Professional line is +4 dBu, consumer line −10 dBV. @unit dBu @source IEC 60268-15 */
const NOMINAL_DBU = { line: 4, 'consumer line': dbvToDbu(-10) } as const;
const isLine = (nominal: string): nominal is keyof typeof NOMINAL_DBU => nominal in NOMINAL_DBU;

export const lineMismatch: Rule = {
  code: 'sound.line-mismatch',
  area: 'sound',
  looksFor: 'A +4 dBu output into a −10 dBV input, or the other way round.',
  why: 'The two nominal levels lie 11.78 dB apart: one way round clips, the other hisses.',
  remedy: 'Use an input of the same nominal level, turn the output down, or add a level converter.',
  source: 'handbook 2-sound, line joints',
  find: (measured) =>
    analogueJoints(measured).flatMap(({ edge, out, input }) => {
      if (!isLine(out.nominal) || !isLine(input.nominal) || out.nominal === input.nominal)
        return [];
      const stepDb = NOMINAL_DBU[out.nominal] - NOMINAL_DBU[input.nominal];
      // Nominal levels are only a first guess: a desk that is turned down to what the input takes is right.
      if (stepDb > 0 && arrivesWell(measured, edge) === true) return [];
      if (stepDb < 0 && (shortBehind(measured, edge) ?? Infinity) < LEVEL_TOLERANCE_DB) return [];
      return [
        {
          code: 'sound.line-mismatch',
          area: 'sound',
          level: 'warn',
          about: aboutJoint(edge),
          title: `${Math.abs(stepDb).toFixed(2)} dB too ${stepDb > 0 ? 'hot' : 'quiet'}`,
          says:
            `${nameOf(measured, edge.from)} is made for ${out.nominal === 'line' ? '+4 dBu' : '−10 dBV'} ` +
            `and ${nameOf(measured, edge.to)} for ${input.nominal === 'line' ? '+4 dBu' : '−10 dBV'}: the ` +
            `signal arrives ${Math.abs(stepDb).toFixed(2)} dB too ` +
            `${stepDb > 0 ? 'hot and may clip' : 'quiet and hisses'}. Use an input of the same ` +
            'level or a level converter.',
        },
      ];
    }),
  sums: () => [
    {
      label: 'Between the two nominal levels',
      formula: '+4 dBu − (−10 dBV + 2.218)',
      inputs: [
        { name: 'professional', value: 4, unit: 'dBu' },
        { name: 'consumer', value: NOMINAL_DBU['consumer line'], unit: 'dBu' },
      ],
      result: NOMINAL_DBU.line - NOMINAL_DBU['consumer line'],
      unit: 'dB',
      source: 'IEC 60027-3',
    },
  ],
  fixes: (measured, { about }) => {
    const joint = analogueJoints(measured).find(({ edge }) => edge.id === about.linkId);
    if (!joint) return [];
    const fixes: Fix[] = [];
    const input = freeInput(joint.edge, (nominal) => nominal === joint.out.nominal);
    const cableId = input && firstCable(joint.edge.from, input);
    if (input && cableId)
      fixes.push({
        label: `Use ${nameOf(measured, input)}`,
        command: {
          type: 'batch',
          label: `Moved ${measured.device(joint.edge.from.device).name} to ${nameOf(measured, input)}`,
          commands: replug(joint.edge, input, cableId),
        },
      });
    if (
      joint.out.nominal === 'consumer line' &&
      cable('unbalanced').connectors.includes(joint.edge.to.port.connector)
    ) {
      const model = classById('converter-line');
      const deviceId = freeId(`${joint.edge.from.device.id}-level`, measured.rig.devices);
      const label = `Add a ${model.name.toLowerCase()}`;
      fixes.push({
        label,
        command: {
          type: 'batch',
          label: `Added a level converter after ${measured.device(joint.edge.from.device).name}`,
          commands: [
            { type: 'disconnect', linkId: joint.edge.id },
            {
              type: 'addDevice',
              deviceId,
              name: `${measured.device(joint.edge.from.device).name} level`.slice(0, 80),
              model,
              settings: {},
              personId: null,
              placeId: measured.device(joint.edge.from.device).placeId,
            },
            {
              type: 'connect',
              linkId: freeId(`${deviceId}-in`, measured.rig.links),
              from: joint.edge.link.from,
              to: { deviceId, portId: 'in' },
              cable: { kind: 'unbalanced', lengthM: 1 },
            },
            {
              type: 'connect',
              linkId: freeId(`${deviceId}-out`, measured.rig.links),
              from: { deviceId, portId: 'out' },
              to: joint.edge.link.to,
              cable: {
                kind: joint.input.balanced ? 'balanced' : 'unbalanced',
                lengthM: joint.edge.link.cable.lengthM,
              },
            },
          ],
        },
      });
    }
    return fixes;
  },
};
