'use client';

import type { ComponentProps } from 'react';
import { lazyView } from '@/features/rig/lazyView';

const View = lazyView(() => import('@/features/run/RunMode').then(({ RunMode }) => RunMode));

/** A component of its own: what a page of the server draws may not be lazy itself. */
export const RunMode = (props: ComponentProps<typeof View>) => <View {...props} />;
