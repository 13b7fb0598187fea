import type { DeviceNode, PortNode, Stage } from '../../graph';
import { nameOf } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { pass } from '../../passes/pass';
import { choiceSetting, entry, FIRST_CONNECTED } from '../../rig';
import { type Format, formatName, isSameFormat, parseFormat } from '../../units';
import { at } from '../about';
import { pictureRule, setFix } from '../rule-of';

interface Deciding {
  readonly node: DeviceNode;
  readonly control: string;
  readonly first: PortNode;
  readonly others: number;
  readonly format: Format | null;
}

/** The first picture that arrives at each port by a cable, by the port's position. */
const arrivals = pass('arrivals', (measured): readonly (Stage | undefined)[] => {
  const first: (Stage | undefined)[] = [];
  for (const stage of measured.traced.stages)
    if (stage.signal === 'picture' && stage.via.by === 'link') first[stage.at.index] ??= stage;
  return first;
});

const deciding = (measured: Measured): Deciding[] =>
  [...measured.graph.devices.values()].flatMap((node): Deciding[] => {
    for (const route of Object.values(node.model.routes)) {
      if (
        route.picture?.does !== 'house format' ||
        choiceSetting(measured.device(node), route.picture.formatControl) !== FIRST_CONNECTED
      )
        continue;
      const plugged = route.from
        .flatMap((portId) => node.ports.get(portId) ?? [])
        .filter(({ links }) => links.length > 0);
      const [first] = plugged;
      const arrived = first && arrivals(measured)[first.index];
      if (first && plugged.length > 1)
        return [
          {
            node,
            control: route.picture.formatControl,
            first,
            others: plugged.length - 1,
            format: (arrived && measured.picture[arrived.index]?.format) ?? null,
          },
        ];
    }
    return [];
  });

export const firstDecides = pictureRule(
  'picture.first-decides',
  {
    looksFor: 'A switcher that runs at the format of whatever is plugged into its first input.',
    why: 'When that one source sleeps or is set differently, every other picture goes with it.',
    remedy: 'Set the switcher to the format that is wanted.',
    source: 'handbook 3-picture, switchers',
  },
  (measured) =>
    deciding(measured).map(({ node, first, others, format }) => ({
      level: 'warn',
      about: at({ deviceId: node.id, portId: first.id }),
      title: 'One input decides for all',
      says:
        `${nameOf(measured, first)} sets the format of ` +
        `${measured.device(node).name}${format ? `, ${formatName(format)} now,` : ''} for ` +
        `${others === 1 ? 'one other input' : `${others} other inputs`}. Set the switcher to ` +
        'a format of its own.',
    })),
  {
    fixes: (measured, { about }) =>
      deciding(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .flatMap(({ node, control, format }) => {
          const choice = entry(node.model.controls, control);
          if (choice?.type !== 'choice') return [];
          // What the first input happens to send is kept, unless it is interlaced.
          const wanted =
            format?.scan === 'p' ? format : parseFormat(measured.rig.houseRules.chosenFormat);
          const option = choice.options.find(
            ({ value }) => value !== FIRST_CONNECTED && isSameFormat(parseFormat(value), wanted),
          );
          return option
            ? [
                setFix(
                  `Set ${measured.device(node).name} to ${option.label}`,
                  node.id,
                  control,
                  option.value,
                ),
              ]
            : [];
        }),
  },
);
