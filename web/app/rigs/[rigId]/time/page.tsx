'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/time/TimeView').then(({ TimeView }) => TimeView));
