'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/measure/MeasureView').then(({ MeasureView }) => MeasureView),
);
