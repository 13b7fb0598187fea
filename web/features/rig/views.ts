import type { Area } from '@echo-loom/core';

interface View {
  readonly name: string;
  readonly path: string;
  /** Whose worst finding stands beside it */
  readonly marks?: readonly Area[] | 'all';
}

interface Group {
  readonly name: string;
  readonly views: readonly View[];
}

/**
 * The views of a rig in groups, in the order of the work. A new one is a folder in features, a page
 * in app and a line here.
 */
export const GROUPS: readonly Group[] = [
  {
    name: 'Show',
    views: [
      { name: 'Brief', path: '/brief', marks: ['brief'] },
      { name: 'People', path: '/people' },
      { name: 'House rules', path: '/rules' },
    ],
  },
  {
    name: 'Chain',
    views: [
      { name: 'Loom', path: '', marks: 'all' },
      { name: 'Threads', path: '/threads' },
      { name: 'Picture', path: '/picture', marks: ['picture', 'computer'] },
      { name: 'Sound', path: '/sound', marks: ['sound'] },
      { name: 'Gain', path: '/gain', marks: ['sound'] },
      { name: 'Time', path: '/time', marks: ['time'] },
      { name: 'Measure', path: '/measure' },
      { name: 'Monitoring', path: '/monitoring' },
      { name: 'Panel', path: '/panel' },
    ],
  },
  {
    name: 'Place',
    views: [
      { name: 'Plan', path: '/plan', marks: ['place', 'stands'] },
      { name: 'Desk', path: '/desk', marks: ['stands'] },
      { name: 'Cables', path: '/cables', marks: ['cables'] },
      { name: 'Power', path: '/power', marks: ['power'] },
      { name: 'Light', path: '/light', marks: ['light'] },
      { name: 'Room', path: '/room', marks: ['place'] },
    ],
  },
  {
    name: 'Build',
    views: [
      { name: 'Build book', path: '/book' },
      { name: 'As built', path: '/built' },
    ],
  },
  {
    name: 'Day',
    views: [
      { name: 'Change-over', path: '/change-over' },
      { name: 'Checklists', path: '/checklist' },
      { name: 'Rundown', path: '/rundown' },
      { name: 'Runs', path: '/runs' },
      { name: 'Files', path: '/files' },
      { name: 'Episodes', path: '/board' },
    ],
  },
  {
    name: 'Record',
    views: [
      { name: 'Findings', path: '/findings', marks: 'all' },
      { name: 'History', path: '/history' },
    ],
  },
];

export const VIEWS: readonly View[] = GROUPS.flatMap(({ views }) => views);
