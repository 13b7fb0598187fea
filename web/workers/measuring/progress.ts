export type OnProgress = (share: number) => void;

/** Progress is told so many times at most. */
const STEPS = 200;

/** Tells progress in steps, so that a message is not sent for every piece. */
export const inSteps = (tell: OnProgress): OnProgress => {
  let told = -1;
  return (share) => {
    const step = Math.floor(share * STEPS);
    if (step === told) return;
    told = step;
    tell(share);
  };
};
