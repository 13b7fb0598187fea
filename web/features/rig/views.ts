/** The views of a rig, in the order of the spine. A new one is a folder in features, a page in app and a line here. */
export const VIEWS = [
  { name: 'Loom', path: '' },
  { name: 'Findings', path: '/findings' },
  { name: 'People & rules', path: '/people' },
  { name: 'Threads', path: '/threads' },
  { name: 'History', path: '/history' },
] as const;
