/** How a thing is had. */
export const OWNERSHIPS = ['owned', 'borrowed', 'to buy', 'second-hand'] as const;
export type Ownership = (typeof OWNERSHIPS)[number];
