import type { Area } from '@echo-loom/core';

interface View {
  readonly name: string;
  readonly path: string;
  /** Whose worst finding stands beside it */
  readonly marks?: readonly Area[] | 'all';
}

/** The views of a rig, in the order of the work. A new one is a folder in features, a page in app and a line here. */
export const VIEWS: readonly View[] = [
  { name: 'Brief', path: '/brief', marks: ['brief'] },
  { name: 'Loom', path: '', marks: 'all' },
  { name: 'Picture', path: '/picture', marks: ['picture', 'computer'] },
  { name: 'Sound', path: '/sound', marks: ['sound'] },
  { name: 'Gain', path: '/gain', marks: ['sound'] },
  { name: 'Monitoring', path: '/monitoring' },
  { name: 'Panel', path: '/panel' },
  { name: 'Room', path: '/room', marks: ['place'] },
  { name: 'Findings', path: '/findings', marks: 'all' },
  { name: 'People', path: '/people' },
  { name: 'House rules', path: '/rules' },
  { name: 'Threads', path: '/threads' },
  { name: 'History', path: '/history' },
];
