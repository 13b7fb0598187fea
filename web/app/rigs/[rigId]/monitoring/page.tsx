'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() =>
  import('@/features/monitoring/MonitoringView').then(({ MonitoringView }) => MonitoringView),
);
