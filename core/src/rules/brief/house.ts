import { moneyOf } from '../../brief/money';
import { isSeparateRecording, recordingMachine, voiceSources } from '../../brief/coverage';
import type { DeviceNode, Thread } from '../../graph';
import { stagesOf } from '../../graph';
import type { Measured } from '../../measure';
import { inOrder, switchSetting, type HouseRules, type Kind } from '../../rig';
import { parseFormat } from '../../units';
import { formatChoice } from '../picture/formats';
import type { Finding, Fix, Level, Rule } from '../rule';

/** Rules that exist because of a school: each judges only where there is a brief, and names the house rule it judges by. */

type Found = Omit<Finding, 'code' | 'area' | 'houseRule'>;

const houseRule = (houseRule: keyof HouseRules, code: string, texts: Pick<Rule, 'looksFor' | 'why' | 'remedy'>, find: (measured: Measured) => Found[], fixes?: Rule['fixes']): Rule => ({
  code, area: 'brief', ...texts, source: 'handbook 1-the-work: house rules',
  find: (measured) => (measured.rig.brief === null ? [] : find(measured).map((found) => ({ code, area: 'brief', houseRule, ...found }))),
  ...(fixes ? { fixes } : {}),
});

const devices = (measured: Measured, ...kinds: Kind[]): DeviceNode[] => [...measured.graph.devices.values()].filter(({ device }) => kinds.includes(device.model.kind));
const passes = (thread: Thread, test: (node: DeviceNode) => boolean): boolean => stagesOf(thread.last).some((stage) => test(stage.at.device));
const about = ({ id }: DeviceNode) => ({ deviceId: id });
const one = (level: Level, node: DeviceNode, title: string, says: string): Found => ({ level, about: about(node), title, says });

/** Inputs of a device that take a source of its kind, and how many hold one. */
const inputs = (node: DeviceNode): { all: number; held: number } => {
  const own = node.ports.values().filter(({ port }) => port.direction === 'in' && (node.device.model.kind === 'switcher' ? port.family === 'picture' : port.family === 'analogue' && port.nominal === 'microphone'));
  return { all: own.length, held: own.filter(({ links }) => links.length > 0).length };
};

export const spareInputs = houseRule('spareInputs', 'brief.spare-inputs', {
  looksFor: 'A switcher, interface or mixer in use with fewer than one input in four free.', why: 'One more person turns up, and the whole box has to be changed.', remedy: 'Use the next larger one, or choose the school of exactly enough.',
}, (measured) =>
  measured.rig.houseRules.spareInputs === 'exact' ? [] : devices(measured, 'switcher', 'interface', 'mixer').flatMap((node) => {
    const { all, held } = inputs(node);
    // Of two inputs, one in four is none: the smallest interfaces are judged from three on.
    const wanted = Math.floor(all / 4);
    return held === 0 || all - held >= wanted ? [] : [one('warn', node, `${held} of ${all} inputs in use`, `${node.device.name} has ${all - held} of ${all} inputs free; the house rule keeps one in four, ${wanted}. Use a larger one before one more person turns up.`)];
  }));

export const captureSize = houseRule('captureSize', 'brief.capture-size', {
  looksFor: 'Cameras that give a smaller or a larger picture than the school of capture size asks for.', why: 'Larger pictures load every link for nothing; smaller ones leave no pixels to punch in with.', remedy: 'Set the camera’s format.',
}, (measured) =>
  devices(measured, 'camera', 'webcam', 'phone').flatMap((node) => {
    const stage = measured.traced.stages.find(({ at, via }) => at.device === node && via.by === 'source' && at.links.length > 0 && at.port.emits?.picture);
    const format = stage && measured.picture[stage.index]?.format;
    if (!format) return [];
    const { captureSize: school } = measured.rig.houseRules;
    if (school === '1080p everywhere')
      return format.height > 1080 ? [one('note', node, 'Larger than delivered', `${node.device.name} gives ${format.width}×${format.height}; the house rule is 1080p everywhere. It loads every link for nothing.`)] : [];
    return format.height < 2160 ? [one('warn', node, `${format.height} lines, 2160 asked for`, `${node.device.name} gives ${format.width}×${format.height}; the house rule asks for 2160p ${school === '2160p throughout' ? 'throughout' : 'at the camera, to punch in'}. Set it to 2160p, or use a camera that has it.`)] : [];
  }), (measured, finding): Fix[] => {
  const stage = measured.traced.stages.find(({ at, via }) => at.device.id === finding.about.deviceId && via.by === 'source' && at.port.emits?.picture);
  const choice = stage && formatChoice(stage);
  const wanted = measured.rig.houseRules.captureSize === '1080p everywhere' ? 1080 : 2160;
  const option = choice?.options.filter(({ value }) => parseFormat(value).height === wanted && parseFormat(value).scan === 'p').at(-1);
  return stage && choice && option ? [{ label: `Set ${stage.at.device.device.name} to ${option.label}`, command: { type: 'setControl', deviceId: stage.at.device.id, control: choice.control, value: option.value } }] : [];
});

export const microphoneSchool = houseRule('microphones', 'brief.microphones', {
  looksFor: 'USB microphones where the school is XLR, and several voices where the school is USB.', why: 'One computer takes one USB microphone well; a second drifts against it.', remedy: 'Use XLR microphones and an interface, or choose the other school for a show of one person.',
}, (measured) => {
  const usb = devices(measured, 'microphone').filter((node) => node.ports.values().some(({ port }) => port.family === 'usb' && port.emits?.sound));
  const voices = inOrder(measured.rig.people).filter(([, { where, isHeard }]) => where === 'on site' && isHeard);
  if (measured.rig.houseRules.microphones === 'xlr') return usb.map((node) => one('warn', node, 'A USB microphone', `${node.device.name} goes straight into the computer by USB; the house rule is XLR and an interface. Its gain and its clock are its own.`));
  const xlr = devices(measured, 'microphone').filter((node) => !usb.includes(node));
  return voices.length > 1 ? (usb.length > 0 ? usb : xlr).slice(0, 1).map((node) => one('warn', node, `${voices.length} voices by USB`, `The house rule is USB direct, which is for one person; ${voices.length} people on site are heard. Use XLR and an interface.`))
    : xlr.map((node) => one('note', node, 'An XLR microphone', `${node.device.name} needs an interface; the house rule is USB direct, which one person does without.`));
});

/** Threads of a person's voice that end in a recording or stream. */
const voiceThreads = (measured: Measured, personId: string): Thread[] => {
  const sources = new Set(voiceSources(measured, personId));
  return measured.traced.threads.filter((thread) => thread.signal === 'sound' && sources.has(thread.source.device) && thread.end.device.device.model.step !== 'hear and see');
};

export const soundSchool = houseRule('soundRecorded', 'brief.sound-way', {
  looksFor: 'A voice on site that is not recorded the way the school says.', why: 'Each way has its own delay and its own weak point; one show keeps to one.', remedy: 'Take the voice the way of the school, or choose the school the rig follows.',
}, (measured) => {
  const { soundRecorded } = measured.rig.houseRules;
  const follows = (thread: Thread): boolean => {
    switch (soundRecorded) {
      case 'interface into the computer':
        return passes(thread, ({ device }) => device.model.kind === 'computer') && (passes(thread, ({ device }) => device.model.kind === 'interface' || device.model.kind === 'mixer') || thread.source.port.family === 'usb');
      case 'through the switcher':
        return passes(thread, ({ device }) => device.model.kind === 'switcher');
      case 'into the camera':
        return recordingMachine(thread).device.model.kind === 'camera';
      case 'stand-alone recorder':
        return recordingMachine(thread).device.model.kind === 'recorder';
    }
  };
  return inOrder(measured.rig.people).filter(([, { where, isHeard }]) => where === 'on site' && isHeard).flatMap(([id, person]) => {
    const threads = voiceThreads(measured, id);
    const [first] = threads;
    return !first || threads.some(follows) ? [] : [one('warn', first.source.device, `${person.name}’s sound goes another way`, `${person.name}’s voice is not recorded ${soundRecorded === 'interface into the computer' ? 'by an interface or mixer into the computer' : soundRecorded === 'stand-alone recorder' ? 'by a stand-alone recorder' : soundRecorded}, as the house rule says.`)];
  });
});

export const computerSchool = houseRule('computers', 'brief.computers', {
  looksFor: 'A stream that comes from another machine than the school says.', why: 'What takes the sources in is what crashes; a stream from elsewhere goes on.', remedy: 'Stream from a second computer or from a hardware encoder.',
}, (measured) => {
  const { computers } = measured.rig.houseRules;
  const machines = devices(measured, 'computer');
  const [, second] = machines;
  if (computers === 'one') return second ? [one('note', second, `${machines.length} computers`, `The house rule is one computer that does everything; this rig has ${machines.length}.`)] : [];
  const streams = devices(measured, 'stream').filter((node) => measured.traced.threads.some(({ end }) => end.device === node));
  return streams.flatMap((node) => {
    const maker = measured.traced.threads.filter(({ end, signal }) => end.device === node && signal === 'picture').map((thread) => stagesOf(thread.last).findLast((stage) => stage.at.device !== node)?.at.device).find((found) => found !== undefined);
    if (!maker) return [];
    const isRight = computers === 'hardware encoder' ? maker.device.model.kind === 'encoder' : machines.length > 1 && !takesSources(maker);
    return isRight ? [] : [one('warn', node, `${maker.device.name} streams`, `${node.device.name} comes from ${maker.device.name}; the house rule is ${computers === 'hardware encoder' ? 'a hardware encoder' : 'a second computer that does nothing else'}.`)];
  });
});

/** Whether cameras or microphones go straight into a machine. */
const takesSources = (machine: DeviceNode): boolean =>
  machine.ports.values().some((port) => port.links.some((edge) => edge.to === port && ['interface', 'mixer', 'microphone', 'webcam', 'call'].includes(edge.from.device.device.model.kind)));

export const switchingSchool = houseRule('switching', 'brief.switching', {
  looksFor: 'Several cameras on their way to a stream without a switcher where the school is hardware, or with one where it is not.', why: 'Who switches, and on what, decides what has to be bought and who has to be there.', remedy: 'Put the cameras through a switcher, or choose the school the rig follows.',
}, (measured) => {
  const { switching } = measured.rig.houseRules;
  const cameras = devices(measured, 'camera', 'webcam', 'phone').filter((node) => node.ports.values().some(({ links }) => links.length > 0));
  const threads = measured.traced.threads.filter(({ signal, source, end }) => signal === 'picture' && cameras.includes(source.device) && end.device.device.model.step === 'deliver');
  const switched = (node: DeviceNode): boolean => threads.some((thread) => thread.source.device === node && passes(thread, ({ device }) => device.model.kind === 'switcher'));
  const [box] = devices(measured, 'switcher').filter((node) => node.ports.values().some(({ links }) => links.length > 0));
  if (switching === 'hardware switcher') {
    const past = cameras.filter((node) => threads.some(({ source }) => source.device === node) && !switched(node));
    const [first] = past;
    return first && cameras.length > 1 ? [one('warn', first, `${past.length} of ${cameras.length} cameras past the switcher`, `${past.map(({ device }) => device.name).join(', ')} ${past.length === 1 ? 'goes' : 'go'} to the computer without a switcher; the house rule is a hardware switcher.`)] : [];
  }
  if (switching === 'none, cut later') {
    const kept = (node: DeviceNode): boolean => measured.traced.threads.some((thread) => thread.signal === 'picture' && thread.source.device === node && isSeparateRecording(thread));
    return cameras.filter((node) => !kept(node)).map((node) => one('warn', node, 'No recording of its own', `${node.device.name} has no recording of its own; the house rule is to record every camera and cut later. Give it a recorder.`));
  }
  return box ? [one('note', box, 'A switcher', `${box.device.name} switches; the house rule is software on the computer.`)] : [];
});

export const processingSchool = houseRule('processing', 'brief.processing', {
  looksFor: 'A compressor switched in before the recording where the school is clean.', why: 'What is pressed on the way in cannot be taken out again.', remedy: 'Switch it out and process later, or choose the other school.',
}, (measured) =>
  measured.rig.houseRules.processing === 'on the way in' ? [] : [...measured.graph.devices.values()].filter(({ device }) => Object.values(device.model.routes).some(({ sound }) => sound?.compressor && switchSetting(device, sound.compressor.inSwitch))).map((node) =>
    one('note', node, 'Compressed on the way in', `${node.device.name} presses the voice before it is recorded; the house rule is clean on the way in.`)),
(measured, finding): Fix[] => {
  const node = finding.about.deviceId === undefined ? undefined : measured.graph.devices.get(finding.about.deviceId);
  const control = node && Object.values(node.device.model.routes).find(({ sound }) => sound?.compressor)?.sound?.compressor?.inSwitch;
  return node && control ? [{ label: `Switch the compressor of ${node.device.name} out`, command: { type: 'setControl', deviceId: node.id, control, value: false } }] : [];
});

export const cutSchool = houseRule('cut', 'brief.tracks', {
  looksFor: 'A voice without a track of its own where the school is to edit.', why: 'Two people who laugh at once cannot be taken apart in a mix.', remedy: 'Record a track per voice, or choose the school of one take.',
}, (measured) => {
  if (measured.rig.houseRules.cut === 'one take') return [];
  const keepsTracks = (node: DeviceNode): boolean => node.ports.values().some(({ port }) => port.ends?.sound !== undefined) && node.ports.values().every(({ port }) => port.ends?.picture === undefined) && node.device.model.kind === 'recording';
  return inOrder(measured.rig.people).filter(([, { isHeard }]) => isHeard).flatMap(([id, person]) => {
    const threads = voiceThreads(measured, id);
    const [first] = threads;
    return !first || threads.some(({ end }) => keepsTracks(end.device)) ? [] : [one('warn', first.source.device, `${person.name} has no track`, `${person.name}’s voice is recorded in no file of its own, and the show is to be edited. Add a recording with a track per voice.`)];
  });
});

export const prompterSchool = houseRule('prompter', 'brief.prompter', {
  looksFor: 'A show with scrolling text by house rule and no prompter.', why: 'Eyes that read elsewhere leave the lens.', remedy: 'Put a prompter in front of the lens, or choose notes near it.',
}, (measured) => {
  const [camera] = devices(measured, 'camera');
  const isFed = devices(measured, 'prompter').some((node) => node.ports.values().some(({ links }) => links.length > 0));
  return measured.rig.houseRules.prompter !== 'scrolling' || isFed || !camera ? [] : [one('warn', camera, 'No prompter', `The house rule is scrolling text, and no prompter stands in front of ${camera.device.name}. Add one, fed by a screen output of the computer.`)];
});

export const overBudget: Rule = {
  code: 'brief.over-budget', area: 'brief', looksFor: 'A rig whose devices to buy cost more than the budget.', why: 'It will not be bought as it stands.', remedy: 'Say what is owned or borrowed, or leave something for later.', source: 'handbook 1-the-work: brief',
  find: (measured) => {
    const { toPay, left } = moneyOf(measured.rig);
    return left === null || left >= 0 ? [] : [{ code: 'brief.over-budget', area: 'brief', level: 'warn', about: { coverage: 'budget' }, title: `Over budget by ${Math.round(-left)}`, says: `What is to be bought costs ${Math.round(toPay)}, ${Math.round(-left)} more than the budget. Say what is owned or borrowed, or leave something for later.` }];
  },
  sums: ({ rig }) => {
    const { by, toPay } = moneyOf(rig);
    return [{ label: 'To be paid', formula: 'to buy + second-hand', inputs: [{ name: 'to buy', value: by['to buy'], unit: '' }, { name: 'second-hand', value: by['second-hand'], unit: '' }, { name: 'budget', value: rig.brief?.budget ?? 'not said', unit: '' }], result: toPay, unit: '', source: 'typical prices of the classes, or what was typed' }];
  },
};
