export {
  CAUTION_TOPICS,
  mediaOf,
  questionsOf,
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
} from './lesson';
export {
  arrangementKey,
  CHOICE_ASKS,
  CONFIDENCES,
  DIRECTIONS,
  EFFECTS,
  GOALS,
  hasDirection,
  hidesRoles,
  NUMBER_ASKS,
  type Answer,
  type ChoiceAsk,
  type ChoiceQuestion,
  type Confidence,
  type Direction,
  type Goal,
  type NumberAsk,
  type NumberQuestion,
  type Question,
  type RolesQuestion,
  type Tolerance,
} from './question';
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
export { grade, type Grade, type GradedPart, type GradeResult } from './grade';
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
export { defaultSet, defaultSetup, newBlock, newLesson, newQuestion, newStep } from './defaults';
