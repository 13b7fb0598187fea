'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/files/FilesView').then(({ FilesView }) => FilesView),
);
