import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';
import { demoRig } from '../demo-for-cases';

/**
 * Second Firing with a second way for its sound: the interface's own mix goes straight into the switcher,
 * whose programme a recorder keeps, beside the way through the computer that the stream takes.
 */
export const secondFiringWithConsole = (): Rig =>
  new RigDraft('Second Firing, two ways', demoRig('second-firing'))
    .do({ type: 'setControl', deviceId: 'interface', control: 'direct', value: true })
    .device('recorder', 'recorder-picture', { name: 'Switcher recorder' })
    .link('interface.out-1', 'switcher.sound-1')
    .link('switcher.programme', 'recorder.in')
    .build();
