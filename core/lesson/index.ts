export {
  CARRIED_LISTS,
  carrying,
  caseOf,
  clutchRigOf,
  LIST_OF,
  referencesOf,
  rigOf,
  type Carried,
  type CarriedList,
} from './carried';
export { gradeConverter, type ConverterGradedPart, type ConverterPart } from './converterGrade';
export {
  converterKey,
  LAUNCH_TARGET,
  measured,
  type ConverterKey,
  type ConverterQuestionFault,
} from './converterKey';
export {
  CHANGED,
  CONVERTER_QUESTION_KINDS,
  isConverterQuestion,
  MATCH_ASKS,
  MEASURES,
  SKETCH_AT,
  SKETCHED,
  WAYS,
  type Changed,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type ConverterSetting,
  type LaunchOrderQuestion,
  type MatchAsk,
  type Measure,
  type OperateQuestion,
  type PredictChangeQuestion,
  type ReadMatchQuestion,
  type Sketched,
  type SketchQuestion,
  type StallChange,
  type Way,
} from './converterQuestion';
export {
  CAUTION_TOPICS,
  mediaOf,
  withMediaAt,
  questionsOf,
  type AskedQuestion,
  type BenchBlock,
  type BenchPermissions,
  type Block,
  type BlockKind,
  type CautionBlock,
  type CautionTopic,
  type ConverterBenchBlock,
  type Lesson,
  type LessonStep,
  type PictureBlock,
  type QuestionBlock,
  type TextBlock,
  type UnitBenchBlock,
} from './lesson';
export {
  arrangementKey,
  CHOICE_ASKS,
  CONFIDENCES,
  EFFECTS,
  GOALS,
  hasDirection,
  hidesRoles,
  isSetQuestion,
  NUMBER_ASKS,
  type Answer,
  type ChoiceAsk,
  type ChoiceQuestion,
  type Confidence,
  type Goal,
  type NumberAsk,
  type NumberQuestion,
  type Question,
  type RolesQuestion,
  type SetAnswer,
  type SetQuestion,
} from './question';
export { DIRECTIONS, type Direction, type Tolerance } from './questionParts';
export {
  applyOf,
  cellKey,
  isUnitQuestion,
  UNIT_QUESTION_KINDS,
  unitOf,
  type FillChartQuestion,
  type RowOutcomeQuestion,
  type UnitAnswer,
  type UnitQuestion,
} from './unitQuestion';
export { rowsAlike, unitKey, type UnitKey, type UnitQuestionFault } from './unitKey';
export { gradeUnit, type UnitGradedPart, type UnitPart } from './unitGrade';
export { assess, graderOf, type AnyFault, type AssessResult, type GradedPart } from './assess';
export { subjectFor, type Subject } from './subject';
export {
  answerKey,
  HELD_ARRANGEMENTS,
  type AnswerKey,
  type KeyResult,
  type QuestionFault,
  type RoleAnswer,
} from './answerKey';
export { believedNumbers, MISCONCEPTIONS, type Misconception } from './misconceptions';
export { grade, type Grade, type GradeResult } from './grade';
export { setupForStudent, type VariantSeed } from './variant';
export {
  attemptScore,
  continuationOf,
  firstTries,
  mergedAttempt,
  type Continuation,
  type Attempt,
  type AttemptAnswer,
  type Seal,
  type UnreadAnswer,
} from './attempt';
export { ANSWER_LIMITS } from './answerLimits';
export { checkSeal, sealed, signerFrom, type SealVerdict, type Signer } from './seal';
export {
  classBook,
  confidenceTally,
  type ClassBook,
  type ClassCell,
  type ClassRow,
  sameStudent,
  type ConfidenceTally,
  type QuestionTally,
  type SetAside,
} from './classBook';
export {
  defaultSet,
  defaultSetup,
  newBlock,
  newConverterQuestion,
  newLesson,
  newQuestion,
  newStep,
  newUnitQuestion,
} from './defaults';
export { misadjusted } from './clutchSetup';
export { clutchGrader, gradeClutch, type ClutchGradedPart, type ClutchPart } from './clutchGrade';
export {
  clutchKey,
  fittedPack,
  handedOut,
  MAY_ROLL,
  startSetup,
  type ClutchKey,
  type ClutchKeyResult,
  type ClutchQuestionFault,
} from './clutchKey';
export {
  CLUTCH_QUESTION_KINDS,
  HOLD_ASKS,
  isClutchQuestion,
  isPackQuestion,
  UPGRADE_ASKS,
  type ClutchAnswer,
  type ClutchQuestion,
  type ClutchRig,
  type DrawStartQuestion,
} from './clutchQuestion';
export { newClutchQuestion } from './clutchDefaults';
export type { ClutchBenchBlock, ClutchSetting, FaultTableBlock, PackBenchBlock } from './lesson';
export {
  deskOf,
  faultAnswerKey,
  type FaultAnswerKey,
  type FaultKeyResult,
  type FaultQuestionFault,
} from './faultAnswerKey';
export { newFaultQuestion } from './faultDefaults';
export { gradeFault, gradeOfDiagnosis, type FaultGradedPart, type FaultPart } from './faultGrade';
export {
  FAULT_QUESTION_KINDS,
  isCaseQuestion,
  isFaultQuestion,
  type CaseQuestion,
  type DiagnoseQuestion,
  type FaultAnswer,
  type FaultQuestion,
  type FaultSubject,
  type SymptomRowQuestion,
  type WhichElementQuestion,
  type WhichTestQuestion,
} from './faultQuestion';
export { missingFault } from './assess';
