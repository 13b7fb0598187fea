export {
  added,
  asVariant,
  blankModel,
  leftOut,
  markStated,
  type ModelProblem,
  oneMore,
  readModel,
  type ReadModel,
  typed,
} from './change';
export { type Choice, type Draft as ModelDraft, type Field, fieldsOf, type Path } from './fields';
export {
  devicesOf,
  type DeviceUpdate,
  differences,
  type Difference,
  type OwnModel,
  stamped,
  unstamped,
  updateCommands,
  updatesFor,
} from './own';
export { type Words, wordsFor } from './words';
export {
  type FileFault,
  libraryFromCsv,
  libraryFromJson,
  libraryToCsv,
  libraryToJson,
  type ReadCsv,
  type ReadLibrary,
} from './files';
export { compareIn, MOST_COMPARED, type Compared, worstVoice, type WorstVoice } from './compare';
