'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/change-over/ChangeOverView').then(({ ChangeOverView }) => ChangeOverView),
);
