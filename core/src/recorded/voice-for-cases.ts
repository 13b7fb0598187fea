import { RigDraft } from '../catalogue/draft';

/** Worked A of sound, as far as a level goes: a quiet dynamic at 10 cm. */
export const oneVoice = new RigDraft('Voice')
  .person('host', 'Host')
  .device('mic', 'mic-dynamic-stage', {
    name: 'Microphone',
    person: 'host',
    settings: { distance: 0.1 },
  })
  .device('interface', 'interface-2', { name: 'Interface', settings: { 'gain-1': 40 } })
  .link('mic.out', 'interface.mic-1')
  .build();
