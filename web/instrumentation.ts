/** Runs once when the server starts, before it answers. */
export const register = async (): Promise<void> => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { migrateDatabase } = await import('./server/migrate');
  const { tidyUp } = await import('./server/tidy');
  await migrateDatabase();
  tidyUp();
};
