'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/plan/PlanView').then(({ PlanView }) => PlanView));
