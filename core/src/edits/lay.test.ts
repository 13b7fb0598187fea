import { RigDraft } from '../catalogue/draft';
import { apply, Refusal, type Rig } from '../rig';
import { laid } from './lay';

const point = (xM: number) => ({ xM, yM: 0, zM: 0 });
const rig = (): Rig =>
  new RigDraft('Case')
    .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
    .device('interface', 'interface-2', { name: 'Interface' })
    .link('mic.out', 'interface.mic-1', 5)
    .do({
      type: 'addCableWay',
      cableWayId: 'tray',
      cableWay: {
        name: 'Tray',
        is: 'tray',
        points: [point(0), point(2)],
        insideMm2: null,
        bendMm: null,
        carries: 'both',
      },
    })
    .build();
const [linkId = ''] = Object.keys(rig().links);
const layOf = (of: Rig) => of.links[linkId]?.lay;

describe('how a cable is laid', () => {
  it('is changed in part: what else was said of it stays', () => {
    const led = apply(rig(), laid(rig(), linkId, { by: ['tray'] }));
    expect(layOf(led)).toEqual({ dressing: null, keepsOff: false, by: ['tray'] });
    const fixed = apply(led, laid(led, linkId, { dressing: 'fixed' }));
    expect(layOf(fixed)).toEqual({ dressing: 'fixed', keepsOff: false, by: ['tray'] });
    const free = apply(fixed, laid(fixed, linkId, { by: [] }));
    expect(layOf(free)).toEqual({ dressing: 'fixed', keepsOff: false });
  });
  it('says nothing where it is laid as all are', () => {
    const led = apply(rig(), laid(rig(), linkId, { by: ['tray'] }));
    expect(layOf(apply(led, laid(led, linkId, { by: [] })))).toBeUndefined();
    expect(laid(rig(), linkId, { dressing: 'reopenable' })).toMatchObject({ lay: null });
  });
  it('is refused where the way is not there, and forgotten where it is taken away', () => {
    expect(() => apply(rig(), laid(rig(), linkId, { by: ['nowhere'] }))).toThrow(Refusal);
    const led = apply(rig(), laid(rig(), linkId, { by: ['tray'] }));
    const gone = apply(led, { type: 'removeCableWay', cableWayId: 'tray' });
    expect(layOf(gone)).toEqual({ dressing: null, keepsOff: false });
  });
});
