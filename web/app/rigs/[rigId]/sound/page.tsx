'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/sound/SoundView').then(({ SoundView }) => SoundView),
);
