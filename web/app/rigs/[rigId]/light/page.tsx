'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/light/LightView').then(({ LightView }) => LightView),
);
