import { CATALOGUE } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { apply } from '../apply';
import { Refusal } from '../refusal';
import { type Rig, rigSchema } from '../rig';

const desk = CATALOGUE.find(({ classId }) => classId === 'desk-network');
if (!desk) throw new Error('no desk');
const [[, socket] = []] = Object.entries(desk.ports);
if (!socket) throw new Error('no socket');
/** A desk of more sockets than anybody delays. */
const wide: Rig = new RigDraft('Wide')
  .device('desk', 'desk-network', { name: 'Desk' })
  .do({
    type: 'replaceModel',
    deviceId: 'desk',
    model: {
      ...desk,
      ports: {
        ...desk.ports,
        ...Object.fromEntries(Array.from({ length: 260 }, (_, n) => [`more-${n}`, socket])),
      },
    },
  })
  .build();

const delayed = (rig: Rig, portId: string, ms: number | null = 10): Rig =>
  apply(rig, { type: 'setDelay', deviceId: 'desk', portId, signal: 'sound', ms });

describe('delays set at one device', () => {
  it('stand in the order of their sockets, each once, and leave nothing when they are taken off', () => {
    const both = delayed(delayed(delayed(wide, 'more-2'), 'more-1'), 'more-2', 20);
    expect(both.delays['desk']?.map(({ portId, ms }) => [portId, ms])).toEqual([
      ['more-1', 10],
      ['more-2', 20],
    ]);
    expect(delayed(delayed(both, 'more-1', null), 'more-2', null).delays).toEqual({});
  });
  it('are refused beyond what a document holds, and what stands can still be read', () => {
    let rig = wide;
    for (let n = 0; n < 256; n++) rig = delayed(rig, `more-${n}`);
    expect(() => delayed(rig, 'more-256')).toThrow(Refusal);
    expect(rigSchema.safeParse(rig).success).toBe(true);
    expect(delayed(rig, 'more-3', 11).delays['desk']).toHaveLength(256);
  });
  it('are refused where there is no such socket', () =>
    expect(() => delayed(wide, 'nowhere')).toThrow('Desk has no port "nowhere".'));
});
