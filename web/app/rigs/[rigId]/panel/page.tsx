'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/panel/PanelView').then(({ PanelView }) => PanelView),
);
