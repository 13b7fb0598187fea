'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/picture/PictureView').then(({ PictureView }) => PictureView),
);
