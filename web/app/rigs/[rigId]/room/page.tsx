'use client';

import { lazyView } from '@/features/rig/lazyView';

export default lazyView(() => import('@/features/room/RoomView').then(({ RoomView }) => RoomView));
