'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/checklist/ChecklistView').then(({ ChecklistView }) => ChecklistView),
);
