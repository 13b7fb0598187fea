import { useEffect, useState } from 'react';

/** Whether the application's own fonts have come: a canvas drawn before is drawn in another one. */
export const useFontsReady = (): boolean => {
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let isHere = true;
    void document.fonts.ready.then(() => isHere && setReady(true));
    return () => {
      isHere = false;
    };
  }, []);
  return ready;
};
