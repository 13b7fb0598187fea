'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/rundown/RundownView').then(({ RundownView }) => RundownView),
);
