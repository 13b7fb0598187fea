'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/cables/CablesView').then(({ CablesView }) => CablesView),
);
