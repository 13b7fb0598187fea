'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/people/PeopleView').then(({ PeopleView }) => PeopleView),
);
