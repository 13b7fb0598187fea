'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/power/PowerView').then(({ PowerView }) => PowerView),
);
