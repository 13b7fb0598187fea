import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** How long after a page was drawn it is asked for again. @unit ms */
const AGAIN_MS = 800;

/** Asks the server for the page again and again, as long as something on it is still being worked out. */
export const useLookAgain = (isWaiting: boolean): void => {
  const router = useRouter();
  useEffect(() => {
    if (!isWaiting) return;
    const timer = setInterval(() => router.refresh(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [isWaiting, router]);
};
