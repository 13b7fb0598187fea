'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/brief/BriefView').then(({ BriefView }) => BriefView),
);
