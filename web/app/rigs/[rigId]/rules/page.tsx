'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/house/HouseRulesView').then(({ HouseRulesView }) => HouseRulesView),
);
