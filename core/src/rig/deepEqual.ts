/** Whether two JSON values are the same, whatever the order of their keys. `undefined` equals only itself. */
export const isDeepEqual = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b) || a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keysA = Object.keys(a);
  if (keysA.length !== Object.keys(b).length) return false;
  return keysA.every(
    (key) =>
      Object.hasOwn(b, key) && isDeepEqual(a[key as keyof typeof a], b[key as keyof typeof b]),
  );
};
