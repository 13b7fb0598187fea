'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/loom/LoomView').then(({ LoomView }) => LoomView));
