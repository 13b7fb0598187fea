'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/history/HistoryView').then(({ HistoryView }) => HistoryView),
);
