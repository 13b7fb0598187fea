import { readdir } from 'node:fs/promises';
import path from 'node:path';

/** The server is started in the folder of the application. */
const built = (): string => path.join(process.cwd(), '.next', 'static');

/**
 * The built parts of the pages: scripts, styles and fonts.
 * @returns their paths as a browser asks for them; none where nothing was built
 */
export const listParts = async (folder = built()): Promise<string[]> => {
  const files = await readdir(folder, { recursive: true, withFileTypes: true }).catch(() => []);
  return files
    .filter((file) => file.isFile())
    .map(({ parentPath, name }) => path.relative(folder, path.join(parentPath, name)))
    .map((each) => ['/_next/static', ...each.split(path.sep)].join('/'))
    .sort();
};
