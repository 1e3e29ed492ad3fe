export {
  EVERYTHING_LIMITS,
  isEverything,
  readEverything,
  writeEverything,
  type Everything,
  type EverythingResult,
  type TakenFile,
  type TakenFolder,
} from './everything';
export {
  hostAction,
  roomCode,
  roomCommit,
  roomEntrance,
  roomOpening,
  type HostAction,
  type RoomEntrance,
} from './roomMessages';
export { classBookCsv, type CsvWords } from './classBookCsv';
export { jsonSchemas } from './jsonSchemas';
export { readJson, type JsonFailure } from './jsonText';
export type { DocumentKind, Documents, Migration } from './documents';
export { KINDS } from './kinds';
export { isModel, MODEL_KINDS, type Model, type ModelKind } from './modelKinds';
export { contentHash, lessonHash } from './lessonHash';
export {
  MOST_CAUSES,
  MOST_HIDDEN,
  MOST_JSON_BYTES,
  MOST_JOULES,
  MOST_NAME,
  MOST_PACK_BYTES,
  MOST_PICTURE_BYTES,
  MOST_SPEED_RPM,
  MOST_TAGS,
  MOST_TARGET,
  MOST_TEXT,
  MOST_TORQUE_NM,
} from './limits';
export { openFile, type FileFailure, type OpenedFile, type OpenFileResult } from './openFile';
export { openText, openValue } from './openDocument';
export { openModel } from './openModel';
export { openUnit } from './openUnit';
export type { OpenFailure, OpenResult, Problem } from './opening';
export {
  looksLikePack,
  readPack,
  writePack,
  type LessonPack,
  type PackFailure,
  type PackResult,
} from './pack';
export { acceptPicture, PICTURE_TYPES, type PictureKind, type PictureResult } from './picture';
export {
  applyChartCsv,
  rangeId,
  readApplyChart,
  type ChartProblem,
  type ChartResult,
} from './applyChartCsv';
export {
  converterCsv,
  engineCsv,
  figuresCsv,
  readConverterRows,
  readEngineRows,
  type ConverterRowsResult,
  type EngineRowsResult,
} from './modelCsv';
export type { TableProblem } from './numberTable';

export { FORMULA_LIKE } from './spreadsheetCells';
