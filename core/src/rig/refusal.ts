/** A command that cannot be applied, with the reason in plain words. The rig is untouched. */
export class Refusal extends Error {
  override readonly name = 'Refusal';
}

/** Every reason a command is refused, in one place: what is wrong, and what the reader can do. */
export const refusals = {
  noDevice: (id: string) =>
    new Refusal(`There is no device "${id}" in this rig; it may have been removed.`),
  noLink: (id: string) =>
    new Refusal(`There is no connection "${id}" in this rig; it may have been removed.`),
  noPerson: (id: string) => new Refusal(`There is no person "${id}" in this rig; add them first.`),
  noPlace: (id: string) => new Refusal(`There is no place "${id}" in this rig; add it first.`),
  noBrief: () => new Refusal('This rig has no brief yet; begin one first.'),
  noSight: (id: string) =>
    new Refusal(`There is no sight "${id}" in the brief; it may have been removed.`),
  noDeliverable: (id: string) =>
    new Refusal(`There is no deliverable "${id}" in the brief; it may have been removed.`),
  noShot: (id: string) =>
    new Refusal(`There is no shot "${id}" in this rig; it may have been removed.`),
  noScene: (id: string) =>
    new Refusal(`There is no scene "${id}" in this rig; it may have been removed.`),
  noButton: (id: string) =>
    new Refusal(`There is no button "${id}" on the panel; it may have been removed.`),
  noLens: (id: string) =>
    new Refusal(`There is no lens "${id}" in this rig; it may have been removed.`),
  lensMisfit: (lens: string, camera: string, mount: string | undefined) =>
    new Refusal(
      mount === undefined
        ? `${camera} has its lens built in: ${lens} does not go on it.`
        : `${lens} does not fit ${camera}, whose mount is ${mount}.`,
    ),
  noReminder: (id: string) =>
    new Refusal(`There is no setting to repeat "${id}"; it may have been removed.`),
  noAside: (id: string) =>
    new Refusal(`Nothing is put aside as "${id}"; it may have been taken up again.`),
  noSegment: (id: string) =>
    new Refusal(`There is no segment "${id}" in the rundown; it may have been removed.`),
  noHouseLine: (id: string) =>
    new Refusal(`There is no line "${id}" on the checklists; it may have been removed.`),
  notMeasured: () => new Refusal('Nothing was measured of this task; its estimate counts already.'),
  noStore: (id: string) =>
    new Refusal(`There is no place for copies "${id}"; it may have been removed.`),
  noHand: (id: string) =>
    new Refusal(
      `There is nothing "${id}" that the show is switched with; it may have been removed.`,
    ),
  notASelector: (device: string, control: string) =>
    new Refusal(`${device} has no position "${control}" that a scene could choose.`),
  noSurface: (id: string) => new Refusal(`There is no surface "${id}" in this room; add it first.`),
  noBackdrop: (id: string) =>
    new Refusal(`There is no background or screen "${id}" in this rig; it may have been removed.`),
  noLook: (id: string) =>
    new Refusal(`There is no look "${id}" in this rig; it may have been removed.`),
  noLamp: (device: string) => new Refusal(`${device} gives no light.`),
  noWindow: (name: string) => new Refusal(`${name} is no window.`),
  noSupport: (id: string) =>
    new Refusal(`There is nothing "${id}" that carries things; it may have been removed.`),
  noClamp: (name: string) => new Refusal(`An arm is clamped to a desk; ${name} is none.`),
  noOpening: (id: string) =>
    new Refusal(`There is no opening "${id}" in the walls; it may have been removed.`),
  noWalkway: (id: string) =>
    new Refusal(`There is no walkway "${id}" in this rig; it may have been removed.`),
  noCableWay: (id: string) =>
    new Refusal(`There is no way for cables "${id}" in this rig; it may have been removed.`),
  noOwnCable: (id: string) =>
    new Refusal(`There is no cable "${id}" in the box; it may have been taken out.`),
  numberTaken: (number: number) =>
    new Refusal(
      `Another cable bears the number ${number}, or did once; a number is given to one cable only.`,
    ),
  noShow: (id: string) =>
    new Refusal(`There is no show "${id}" on the list of this rig; it may have been removed.`),
  noControl: (device: string, control: string) =>
    new Refusal(`${device} has no control “${control}”; its model may have been changed.`),
  notTicked: () => new Refusal('Nothing is ticked there; it may have been taken back.'),
  noCircuit: (id: string) =>
    new Refusal(`There is no circuit "${id}" in this rig; it may have been removed.`),
  noFeed: (id: string) =>
    new Refusal(`There is no outlet, strip or supply "${id}"; it may have been removed.`),
  noLoad: (id: string) =>
    new Refusal(`There is nothing "${id}" on the mains; it may have been removed.`),
  noKnownDelay: (id: string) =>
    new Refusal(`There is no delay “${id}” that is known of a device; it may have been removed.`),
  noOffset: (id: string) =>
    new Refusal(`There is no measured offset “${id}”; it may have been removed.`),
  noReading: (id: string) =>
    new Refusal(
      `There is nothing “${id}” that was read off a recording; it may have been removed.`,
    ),
  feedsItself: (name: string) =>
    new Refusal(`${name} would feed itself; plug it into an outlet or another strip.`),
  noSet: (id: string) =>
    new Refusal(`There is no set "${id}" in this rig; it may have been removed.`),
  noRoom: (why: string) => new Refusal(`This is not the outline of a room: ${why}.`),
  roomNotDrawn: () =>
    new Refusal('The room is not drawn yet; say its corners and its height first.'),
  noNoise: (id: string) =>
    new Refusal(`There is no noise "${id}" in this rig; it may have been removed.`),
  modelMisfit: (device: string, why: string) =>
    new Refusal(`${device} cannot be replaced: ${why}.`),
  noPort: (device: string, port: string) => new Refusal(`${device} has no port "${port}".`),
  idTaken: (id: string) => new Refusal(`"${id}" is already in this rig; use another id.`),
  tooMany: (what: string, limit: number) => new Refusal(`A rig holds at most ${limit} ${what}.`),
  cannotJoin: (from: string, to: string, why: string) =>
    new Refusal(`${from} cannot be connected to ${to}: ${why}.`),
  portHeld: (device: string, port: string) =>
    new Refusal(`${device}, ${port} already has a cable in it; remove that first.`),
  socketHeld: (device: string, port: string, other: string) =>
    new Refusal(
      `${device}: ${port} and ${other} are one socket, and ${other} has a plug in it; remove that first.`,
    ),
  itself: (device: string) => new Refusal(`${device} cannot be connected to itself.`),
  cableMisfit: (cable: string) => new Refusal(`${cable} does not fit these two ports.`),
  badSetting: (device: string, why: string) => new Refusal(`${device}: ${why}.`),
  badFigure: (device: string, path: string, why: string) =>
    new Refusal(`${device}: ${path} cannot be set: ${why}.`),
  changedSince: (where: string) =>
    new Refusal(`This cannot be taken back: ${where} has been changed since.`),
  wouldBreak: (where: string, why: string) =>
    new Refusal(`This would leave the rig inconsistent at ${where}: ${why}.`),
  notUnderstood: (where: string, why: string) =>
    new Refusal(`This cannot be entered: ${where ? `${where}: ` : ''}${why}.`),
  unknownEdit: () =>
    new Refusal('This cannot be entered: this version of Echo Loom has no such edit.'),
  notInLog: () =>
    new Refusal(
      'This cannot be taken back or done again: the edit it belongs to is not in the log.',
    ),
  notYours: () => new Refusal('Only edits made in this browser can be taken back here.'),
  beforeUpgrade: () =>
    new Refusal(
      'This was done in an earlier version of Echo Loom, whose document was another; it can no ' +
        'longer be taken back or done again.',
    ),
  alreadyReverted: (does: 'undo' | 'redo') =>
    new Refusal(
      does === 'undo' ? 'This has been taken back already.' : 'This has been done again already.',
    ),
};
