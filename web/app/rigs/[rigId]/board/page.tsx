'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/board/BoardView').then(({ BoardView }) => BoardView),
);
