import { microphonesInRoom } from '.';
import { analyse } from '../../analyse';
import { apply, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { type MicrophoneChoice, microphoneChoices } from './choice';

const choices = (rig: Rig, deviceId: string): MicrophoneChoice[] => {
  const analysis = analyse(rig);
  const microphone = microphonesInRoom(analysis).find(({ node }) => node.device.id === deviceId);
  return microphone ? microphoneChoices(analysis, microphone) : [];
};
const against = (list: readonly MicrophoneChoice[], classId: string) =>
  list.find(({ model }) => model.classId === classId)?.speaksAgainst ?? [];

describe('which microphone for a voice in its room', () => {
  const wheel = choices(demoRig('second-firing'), 'wheel-mic');
  it('for a potter who moves and has both hands full, beside a kiln fan: the headset first', () =>
    expect(wheel[0]?.model.classId).toBe('mic-headset'));
  it('says why not a boundary microphone: they move, and the fan is nearly as loud', () =>
    expect(against(wheel, 'mic-boundary')).toEqual(
      expect.arrayContaining([
        'they move out of it',
        expect.stringMatching(/^voice only \d+ dB over the room$/),
      ]),
    ));
  it('says of a hand-held one that both hands are busy', () =>
    expect(against(wheel, 'mic-dynamic-stage')).toContain(
      'needs a stand: both their hands are busy',
    ));
  it('respects somebody who dislikes a headset', () =>
    expect(
      choices(
        apply(demoRig('second-firing'), {
          type: 'changePerson',
          personId: 'potter',
          person: { dislikesHeadset: true },
        }),
        'wheel-mic',
      )[0]?.model.classId,
    ).not.toBe('mic-headset'));
  it('marks the one that is there, and lists what suits the person before what does not', () => {
    expect(wheel.filter(({ isPresent }) => isPresent).map(({ model }) => model.classId)).toEqual([
      'mic-dynamic-stage',
    ]);
    const moves = wheel.map(({ speaksAgainst }) => speaksAgainst.includes('they move out of it'));
    expect(moves).toEqual([...moves].sort());
  });
  it('at a kitchen table nothing speaks against the broadcast dynamic that is there', () =>
    expect(against(choices(demoRig('night-tide'), 'host-mic'), 'mic-dynamic-quiet')).toEqual([]));
  it('has nothing to say where nobody speaks into it', () =>
    expect(
      choices(
        apply(demoRig('night-tide'), {
          type: 'assignDevice',
          deviceId: 'host-mic',
          personId: null,
          placeId: null,
        }),
        'host-mic',
      ),
    ).toEqual([]));
});
