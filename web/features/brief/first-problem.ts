import type { FieldErrors } from 'react-hook-form';

/** The first thing wrong with the answers, in words. */
export const firstProblem = (errors: FieldErrors): string | null => {
  for (const value of Object.values(errors)) {
    if (!value || typeof value !== 'object') continue;
    if ('message' in value && typeof value.message === 'string') return value.message;
    const inner = firstProblem(value as FieldErrors);
    if (inner) return inner;
  }
  return null;
};
