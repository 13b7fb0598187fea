'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/run/RunsView').then(({ RunsView }) => RunsView));
