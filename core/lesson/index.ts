export {
  CAUTION_TOPICS,
  carrying,
  mediaOf,
  questionsOf,
  unitsUsed,
  type AskedQuestion,
  type BenchBlock,
  type BenchPermissions,
  type Block,
  type BlockKind,
  type CautionBlock,
  type CautionTopic,
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
export {
  assess,
  subjectFor,
  subjectOf,
  type AnyFault,
  type AssessResult,
  type GradedPart,
  type Subject,
} from './assess';
export {
  answerKey,
  HELD_ARRANGEMENTS,
  type AnswerKey,
  type KeyResult,
  type QuestionFault,
  type RoleAnswer,
} from './answerKey';
export {
  believedNumbers,
  MISCONCEPTIONS,
  withinTolerance,
  type Misconception,
} from './misconceptions';
export { grade, type Grade, type GradeResult } from './grade';
export { setupForStudent, type VariantSeed } from './variant';
export { attemptScore, firstTries, type Attempt, type AttemptAnswer } from './attempt';
export {
  classBook,
  confidenceTally,
  type ClassBook,
  type ClassCell,
  type ClassRow,
  type ConfidenceTally,
  type QuestionTally,
} from './classBook';
export {
  defaultSet,
  defaultSetup,
  newBlock,
  newLesson,
  newQuestion,
  newStep,
  newUnitQuestion,
} from './defaults';
