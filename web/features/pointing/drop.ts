import {
  connectBy,
  type Join,
  type Joining,
  putInto,
  type Spliced,
  takeOut,
} from '@echo-loom/core';
import { useLoomView } from '@/features/chosen/view';
import type { RigSession } from '@/session/state';
import { type Held, type Target, usePointing } from './pointing';

/** Joins two ports and marks the new cable. */
export const joinBy = (session: RigSession, join: Join): void => {
  const { rig } = session.store.getState();
  const command = connectBy(rig, join);
  if (session.run(command) && command.type === 'connect')
    useLoomView.getState().select({ kind: 'link', id: command.linkId });
};

const spliceBy = (session: RigSession, spliced: Spliced, deviceId: string): void => {
  if (!spliced.can) return;
  const { label, commands } = spliced;
  if (session.run({ type: 'batch', label, commands: [...commands] }))
    useLoomView.getState().select({ kind: 'device', id: deviceId });
};

export const takeOutOfThread = (session: RigSession, deviceId: string): void =>
  spliceBy(session, takeOut(session.store.getState().analysis, deviceId), deviceId);

export const putIntoThread = (session: RigSession, deviceId: string, linkId: string): void => {
  const { analysis } = session.store.getState();
  const edge = analysis.graph.links.get(linkId);
  if (edge) spliceBy(session, putInto(analysis, deviceId, edge), deviceId);
};

/** Does what a drop says it would do; where there is a choice, asks. */
export const drop = (
  session: RigSession,
  held: Held,
  joinings: ReadonlyMap<string, Joining> | null,
  target: Target,
): void => {
  const { askFor } = usePointing.getState();
  switch (target.at) {
    case 'device': {
      const joining = joinings?.get(target.deviceId);
      if (!joining?.can) return;
      const [first, ...more] = joining.ways;
      if (more.length === 0) joinBy(session, first);
      else askFor({ ask: 'which way', ways: joining.ways });
      return;
    }
    case 'cable':
      putIntoThread(session, held.deviceId, target.linkId);
      return;
    case 'out':
      takeOutOfThread(session, held.deviceId);
      return;
    case 'ground':
      askFor({ ask: 'what goes here', held });
      return;
  }
};
