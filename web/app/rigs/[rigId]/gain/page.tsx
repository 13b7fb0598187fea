'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/gain/GainView').then(({ GainView }) => GainView));
