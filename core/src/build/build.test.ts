import { type Answers, answersSchema, build, onSite, remote, STARTING_POINTS } from '.';
import { analyse } from '../analyse';
import { coverage } from '../passes/coverage';
import { moneyOf } from '../passes/money';
import { importRig, type Rig, rigToJson } from '../rig';
import { wired } from './wire';

const made = (answers: Answers): Rig => {
  const built = build(answers);
  if (!built.ok) throw new Error(built.why);
  return built.rig;
};
/** The devices and cables alone, which is what classes are chosen by. */
const wiring = (answers: Answers): Rig => wired(answers).rig;
const refused = (answers: Answers): string => {
  const built = build(answers);
  return built.ok ? 'it was built' : built.why;
};
const unmet = (rig: Rig): string[] =>
  coverage(analyse(rig))
    .filter(({ verdict }) => verdict !== 'met')
    .map(({ id, says }) => `${id}: ${says}`);
const [solo, two] = STARTING_POINTS;
if (!solo || !two) throw new Error('starting points are missing');
const base = two.answers('Show');
const kinds = (rig: Rig, kind: string): number =>
  Object.values(rig.devices).filter(({ model }) => model.kind === kind).length;

describe.each(STARTING_POINTS.map((point) => [point.name, point] as const))(
  '%s',
  (_name, point) => {
    const rig = made(point.answers('Mine'));
    it('starts with nothing to stop it and nothing to warn of', () =>
      expect(
        analyse(rig)
          .findings.filter(({ level }) => level !== 'note')
          .map(({ says }) => says),
      ).toEqual([]));
    it('covers everything it was asked for', () => expect(unmet(rig)).toEqual([]));
    it('asks nothing that has no default', () =>
      expect(answersSchema.parse(point.answers('Mine'))).toEqual(point.answers('Mine')));
    it('can be exported and read again', () => {
      const read = importRig(new TextEncoder().encode(rigToJson(rig)));
      expect(read.ok && rigToJson(read.rig)).toBe(rigToJson(rig));
    });
    it('is the same rig for the same answers', () =>
      expect(rigToJson(made(point.answers('Mine')))).toBe(rigToJson(rig)));
    it('has a price for everything in it', () => expect(moneyOf(rig).unknown).toEqual([]));
  },
);

describe('what is chosen, and why', () => {
  const people = (count: number) => Array.from({ length: count }, (_, n) => onSite(`Person ${n}`));
  const classOf = (rig: Rig, id: string) => rig.devices[id]?.model.classId;
  it.each([
    [2, 'interface-2'],
    [3, 'interface-4'],
    [4, 'mixer-8'],
    [6, 'mixer-8'],
    [7, 'mixer-16'],
    [8, 'mixer-16'],
  ])('%s voices with one input in four free take %s', (count, classId) =>
    expect(classOf(wiring({ ...base, people: people(count) }), 'desk')).toBe(classId),
  );
  it.each([
    [4, 'interface-4'],
    [8, 'mixer-8'],
  ])('%s voices with exactly enough take %s', (count, classId) =>
    expect(
      classOf(
        wiring({ ...base, people: people(count), houseRules: { spareInputs: 'exact' } }),
        'desk',
      ),
    ).toBe(classId),
  );
  it.each([
    [2, 'switcher-4'],
    [3, 'switcher-4'],
    [4, 'switcher-6'],
    [7, 'switcher-20'],
  ])('%s faces take %s', (count, classId) =>
    expect(classOf(wiring({ ...base, people: people(count) }), 'switcher')).toBe(classId),
  );
  it('one face needs no switcher', () =>
    expect(kinds(wiring(solo.answers('Solo')), 'switcher')).toBe(0));
  it('an operator gets a switcher with a multiview and a screen on it', () => {
    const rig = wiring({
      ...base,
      people: people(2),
      brief: { ...base.brief, switchedBy: 'operator' },
    });
    expect([classOf(rig, 'switcher'), classOf(rig, 'multiview')]).toEqual([
      'switcher-6',
      'display-monitor',
    ]);
  });
  it('who plays gets a screen of their own before the capture, and who is seen one of what goes out', () => {
    const rig = wiring({ ...base, sights: [{ name: 'Game', what: 'console' }] });
    expect(
      ['game-source-split', 'game-source-screen', 'confidence'].map((id) => classOf(rig, id)),
    ).toEqual(['splitter-hdmi-2', 'display-monitor', 'display-monitor']);
  });
  it.each([
    ['hardware encoder', 'encoder', 'encoder-hardware'],
    ['two', 'stream-computer', 'computer-laptop'],
  ] as const)('computers: %s', (computers, id, classId) =>
    expect(classOf(wiring({ ...base, houseRules: { computers } }), id)).toBe(classId),
  );
  it('in-ear is one transmitter and a pack each', () => {
    const rig = wiring({ ...base, houseRules: { monitoring: 'in-ear' } });
    expect(
      Object.values(rig.devices).flatMap(({ model: { classId } }) =>
        classId?.startsWith('in-ear') ? [classId] : [],
      ),
    ).toEqual(['in-ear-transmitter', 'in-ear-pack', 'in-ear-pack']);
  });
  it('the rate is the one that was chosen, from camera to file; without one the mains says', () => {
    const formatsOf = (rig: Rig) => [
      rig.houseRules.chosenFormat,
      rig.devices['first-voice-camera']?.settings['format'],
      rig.devices['computer']?.settings['canvas'],
      ...new Set(
        Object.values(rig.brief?.deliverables ?? {}).flatMap(({ format }) => format ?? []),
      ),
    ];
    expect(formatsOf(wiring({ ...base, houseRules: { chosenFormat: '1920x1080p50' } }))).toEqual(
      Array(4).fill('1920x1080p50'),
    );
    const [fifty, sixty] = (
      [
        { hz: 50, volts: 230 },
        { hz: 60, volts: 120 },
      ] as const
    ).map((mains) => formatsOf(wired(base, mains).rig));
    expect(fifty).toEqual(['1920x1080p50', '1920x1080p50', '1920x1080p25', '1920x1080p25']);
    expect(sixty).toEqual(['1920x1080p60', '1920x1080p60', '1920x1080p30', '1920x1080p30']);
  });
  it('sound goes through the switcher where that was answered, and says why where it cannot', () => {
    const houseRules = { soundRecorded: 'through the switcher' } as const;
    const intoSwitcher = ({ links }: Rig) =>
      Object.values(links).some(({ to }) => to.deviceId === 'switcher' && to.portId === 'sound-1');
    expect(intoSwitcher(wiring({ ...base, houseRules }))).toBe(true);
    const { rig, unmet: said } = wired({
      ...base,
      people: [...people(2), remote('Guest')],
      houseRules,
    });
    expect([intoSwitcher(rig), said.map(({ says }) => says)]).toEqual([
      false,
      [
        'Sound was to go through the switcher: it goes by an interface into the computer, since guests ' +
          'elsewhere are heard, and what the switcher sends would bring them their own voice.',
      ],
    ]);
  });
  it('the cheapest computer that does the work', () => {
    expect(classOf(wiring({ ...base, people: people(2) }), 'computer')).toBe('computer-laptop');
    expect(
      classOf(
        wiring({ ...base, people: people(3), houseRules: { switching: 'software' } }),
        'computer',
      ),
    ).toBe('computer-desktop');
  });
  it('who moves gets a headset with phantom power, who dislikes it a clip; who sits an arm', () => {
    const rig = wiring({
      ...base,
      people: [
        onSite('Mover', { posture: 'moves' }),
        onSite('Free', { posture: 'moves', dislikesHeadset: true }),
        onSite('Potter', { needsHandsFree: true }),
      ],
    });
    expect(['mover-mic', 'free-mic', 'potter-mic'].map((id) => classOf(rig, id))).toEqual([
      'mic-headset',
      'mic-lavalier',
      'mic-dynamic-stage',
    ]);
    expect(rig.devices['desk']?.settings['phantom-1']).toBe(true);
  });
  it('a guest elsewhere gets a call and a screen, and no microphone here', () => {
    const rig = wiring({ ...base, people: [onSite('Host'), remote('Guest')] });
    expect([
      classOf(rig, 'guest-call'),
      classOf(rig, 'guest-screen'),
      classOf(rig, 'guest-mic'),
    ]).toEqual(['call', 'display-monitor', undefined]);
  });
  it('a guest in front of the lens where the house rule says so', () =>
    expect(
      classOf(
        wiring({
          ...base,
          people: [onSite('Host'), remote('Guest')],
          houseRules: { prompter: 'second display' },
        }),
        'guest-screen',
      ),
    ).toBe('prompter'));
  it('one person by USB has no interface', () => {
    const rig = wiring({
      ...solo.answers('Solo'),
      deliverables: ['stream', 'voice tracks'],
      houseRules: { microphones: 'usb', recordingsOfVoice: 1 },
    });
    expect([kinds(rig, 'interface'), classOf(rig, 'host-mic')]).toEqual([0, 'mic-usb']);
    expect(unmet(rig)).toEqual([]);
  });
  const cards = (rig: Rig): number =>
    Object.values(rig.devices).filter(({ settings }) => settings['record'] === true).length;
  it('a recording per camera is made in the camera, and buys nothing', () => {
    const rig = wiring({
      ...base,
      people: people(3),
      deliverables: ['stream', 'voice tracks', 'camera recordings'],
    });
    expect([cards(rig), kinds(rig, 'recorder')]).toEqual([3, 1]);
    expect(unmet(rig)).toEqual([]);
  });
  it('cameras record large where they are punched into, and what is sent is as before', () => {
    const rig = wiring({
      ...base,
      people: people(2),
      deliverables: ['stream', 'voice tracks', 'camera recordings'],
      houseRules: { captureSize: '2160p to punch in' },
    });
    expect(unmet(rig)).toEqual([]);
    expect(
      Object.values(rig.devices).flatMap(({ settings }) => settings['card-format'] ?? []),
    ).toEqual(['3840x2160p30', '3840x2160p30']);
  });
  it('a show that would fill the card is recorded at a bitrate that fits', () => {
    const rig = wiring({
      ...base,
      people: people(2),
      deliverables: ['camera recordings'],
      brief: { ...base.brief, lengthMin: 600 },
      houseRules: { switching: 'none, cut later' },
    });
    // 128 GB ÷ (0.45 × 10 h) = 28.4 Mb/s
    expect(
      Object.values(rig.devices).flatMap(({ settings }) => settings['card-mbps'] ?? []),
    ).toEqual([25, 25]);
    expect(analyse(rig).findings.map(({ code }) => code)).not.toContain('computer.drive-full');
  });
  const cutLater = (players: number): Rig =>
    wiring({
      ...base,
      people: people(3),
      sights: Array.from({ length: players }, (_, index) => ({
        name: `Screen ${index + 1}`,
        what: 'screen' as const,
      })),
      deliverables: ['camera recordings', 'voice tracks'],
      houseRules: { switching: 'none, cut later' },
    });
  it('without switching each camera has its card and nothing else', () => {
    const rig = cutLater(0);
    expect([kinds(rig, 'switcher'), kinds(rig, 'capture'), kinds(rig, 'recorder')]).toEqual([
      0, 0, 1,
    ]);
    expect(cards(rig)).toBe(3);
  });
  it('players, which have no card, get a recorder each, or one recording switcher for three', () => {
    expect([kinds(cutLater(1), 'switcher'), kinds(cutLater(1), 'recorder')]).toEqual([0, 2]);
    expect([kinds(cutLater(3), 'switcher'), kinds(cutLater(3), 'recorder')]).toEqual([1, 1]);
    for (const rig of [cutLater(1), cutLater(3)]) expect(unmet(rig)).toEqual([]);
  });
});

describe('answers that contradict each other', () => {
  it.each<[string, Answers, RegExp]>([
    [
      'a stream of nothing to be seen',
      { ...base, people: [onSite('Voice', { shot: null })] },
      /A stream needs a picture, and nobody and nothing is to be seen/,
    ],
    [
      'a programme that nobody switches',
      { ...base, houseRules: { switching: 'none, cut later' } },
      /not to switch at all, and a stream or a programme is asked for/,
    ],
    [
      'a USB microphone and a backup elsewhere',
      { ...solo.answers('Solo'), houseRules: { microphones: 'usb' } },
      /goes into one computer only/,
    ],
    [
      'a recording per camera without a camera',
      { ...base, people: [onSite('Voice', { shot: null })], deliverables: ['camera recordings'] },
      /no camera is needed/,
    ],
  ])('%s', (_name, answers, why) => expect(refused(answers)).toMatch(why));
  it('are told from answers that are wrong by themselves', () => {
    expect(answersSchema.safeParse({ ...base, people: [] }).success).toBe(false);
    expect(
      answersSchema.safeParse({ ...base, deliverables: ['stream', 'stream'] }).error?.issues[0]
        ?.message,
    ).toBe('expected each deliverable once');
  });
});
