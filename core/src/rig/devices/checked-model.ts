import { modelFields } from './model';
import { modelProblems } from './model-problems';

/** A model whose routes and controls also fit together. */
export const modelSchema = modelFields.superRefine((model, context) => {
  for (const { path, message } of modelProblems(model))
    context.addIssue({ code: 'custom', path, message });
});
