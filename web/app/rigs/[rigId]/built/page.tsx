'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/built/BuiltView').then(({ BuiltView }) => BuiltView),
);
