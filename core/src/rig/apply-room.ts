import type { Draft } from 'immer';
import { mustHave, nextOrder } from './collections';
import type { SimpleCommand } from './commands';
import { refusals } from './refusal';
import { entry, type Rig } from './rig';

/** Commands that change the room and what makes noise in it. */
export type RoomCommand = Extract<
  SimpleCommand,
  { type: 'setRoom' | 'addNoise' | 'changeNoise' | 'removeNoise' }
>;

/** Changes the room and its noises. @throws Refusal for a noise that is not there, or already is */
export const applyRoom = (rig: Draft<Rig>, command: RoomCommand): void => {
  switch (command.type) {
    case 'setRoom':
      Object.assign(rig.room, command.room);
      return;
    case 'addNoise':
      if (entry(rig.noises, command.noiseId)) throw refusals.idTaken(command.noiseId);
      rig.noises[command.noiseId] = { ...command.noise, order: nextOrder(rig.noises) };
      return;
    case 'changeNoise':
      Object.assign(
        mustHave(entry(rig.noises, command.noiseId), refusals.noNoise(command.noiseId)),
        command.noise,
      );
      return;
    case 'removeNoise':
      mustHave(entry(rig.noises, command.noiseId), refusals.noNoise(command.noiseId));
      delete rig.noises[command.noiseId];
      return;
  }
};
