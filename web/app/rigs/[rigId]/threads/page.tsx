'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/threads/ThreadsView').then(({ ThreadsView }) => ThreadsView),
);
