import { Text } from '@chakra-ui/react';
import {
  type Analysis,
  bearing,
  distanceInRoom,
  entry,
  eyesAtM,
  middleM,
  solids,
  stood,
} from '@echo-loom/core';
import { lengthText, type Units } from './plane';
import type { Thing } from './thing';

/** How high its middle is, where that is known. @unit m */
const heightOf = (analysis: Analysis, { kind, id }: Thing): number | null => {
  if (kind === 'person') {
    const person = entry(analysis.rig.people, id);
    return person ? eyesAtM(person) : null;
  }
  if (kind === 'device') {
    const device = stood(analysis).find((one) => one.id === id);
    return device ? middleM(device) : null;
  }
  if (kind === 'noise') return entry(analysis.rig.noises, id)?.heightM ?? null;
  if (kind === 'sight') return entry(analysis.rig.brief?.sights ?? {}, id)?.at?.zM ?? null;
  return solids(analysis).supports.find((solid) => solid.id === id)?.toM ?? null;
};

interface Props {
  readonly analysis: Analysis;
  readonly from: Thing;
  readonly to: Thing;
  readonly units: Units;
}

/** How far two things are apart, as a surveyor writes it. */
export const Measured = ({ analysis, from, to, units }: Props) => {
  const [a, b] = [from, to].map((thing) => ({ ...thing.at, zM: heightOf(analysis, thing) }));
  if (!a || !b) return null;
  const flatM = distanceInRoom({ ...a, zM: null }, b);
  return (
    <Text fontSize="sm" className="figures" role="status">
      {`${lengthText(distanceInRoom(a, b), units)} through the room, ${lengthText(flatM, units)} ` +
        `along the plan, ${Math.round((bearing(a, b) + 360) % 360)}°`}
    </Text>
  );
};
