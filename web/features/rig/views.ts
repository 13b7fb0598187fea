/** The views of a rig, in the order of the work. A new one is a folder in features, a page in app and a line here. */
export const VIEWS = [
  { name: 'Brief', path: '/brief' },
  { name: 'Loom', path: '' },
  { name: 'Findings', path: '/findings' },
  { name: 'People', path: '/people' },
  { name: 'House rules', path: '/rules' },
  { name: 'Threads', path: '/threads' },
  { name: 'History', path: '/history' },
] as const;
