'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/book/BookView').then(({ BookView }) => BookView));
