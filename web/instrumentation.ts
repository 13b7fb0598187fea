/** Runs once when the server starts, before it answers. */
export const register = async (): Promise<void> => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { bringLogsUp } = await import('./server/logs');
  const { migrateDatabase } = await import('./server/migrate');
  const { tidyUp } = await import('./server/tidy');
  await migrateDatabase();
  // A log that cannot be brought up keeps its words; it must not keep the server from starting.
  await bringLogsUp().catch((error: unknown) => console.error(error));
  tidyUp();
};
