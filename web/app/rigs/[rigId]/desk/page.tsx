'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/desk/DeskView').then(({ DeskView }) => DeskView));
