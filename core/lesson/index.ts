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
export { converterKey, LAUNCH_TARGET, measured, type ConverterKey } from './families/converter/key';
export {
  CHANGED,
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
  type MatchAsk,
  type Measure,
  type PredictChangeQuestion,
  type Sketched,
  type StallChange,
  type Way,
} from './families/converter/kinds';
export {
  CAUTION_TOPICS,
  mediaOf,
  withMediaAt,
  MOST_WORDS,
  asksWhy,
  canAskWhy,
  questionsOf,
  type AskedQuestion,
  type BenchBlock,
  type BenchPermissions,
  type Block,
  type BlockKind,
  type CautionBlock,
  type ConverterBenchBlock,
  type ShiftBenchBlock,
  type Lesson,
  type LessonStep,
  type PictureBlock,
  type QuestionBlock,
  type UnitBenchBlock,
} from './lesson';
export {
  CONFIDENCES,
  FAMILY_NAMES,
  familyOf,
  isOf,
  kindsOf,
  QUESTION_KINDS,
  type Answer,
  type AnswerOf,
  type Confidence,
  type FamilyName,
  type Question,
  type QuestionKind,
  type QuestionOf,
} from './question';
export {
  arrangementKey,
  ARRANGEMENT_KEYS,
  CHOICE_ASKS,
  GOALS,
  hasDirection,
  hidesRoles,
  NUMBER_ASKS,
  type ArrangementKey,
  type ChoiceQuestion,
  type NumberAsk,
  type NumberQuestion,
  type SetAnswer,
  type SetQuestion,
} from './families/gear-set/kinds';
export { DIRECTIONS, type Direction, type Tolerance } from './questionParts';
export {
  applyOf,
  cellKey,
  unitOf,
  type FillChartQuestion,
  type RowOutcomeQuestion,
  type UnitAnswer,
  type UnitQuestion,
} from './families/unit/kinds';
export { rowsAlike, unitKey } from './families/unit/key';
export { assess, graderOf, keyFor, firstPosed, posedFor } from './assess';
export { graderIn, type Assessment } from './grading';
export {
  familyNamed,
  type AnyClaim,
  type AnyFault,
  type ClaimOf,
  type AnyKey,
  type AnyPart,
  type AnyTypes,
  type KeyOf,
  type PartOf,
  type SlipOf,
  type Subject,
  type SubjectOf,
  type TypesOf,
} from './families/families';
export { missingFault, subjectFor } from './families/subjects';
export { isVaried, posedIn, triedOut, varies, type PosedQuestion } from './posed';
export { CLUTCH_FAMILY } from './families/clutch/family';
export { CONVERTER_FAMILY } from './families/converter/family';
export { FAULT_FAMILY } from './families/fault/family';
export { diagnosisAssessed } from './families/fault/caseReasons';
export { GEAR_SET_FAMILY } from './families/gear-set/family';
export { UNIT_FAMILY } from './families/unit/family';
export type { Family, GradedPart, KeyResult } from './family';
export {
  setKey,
  wrongAnswer,
  HELD_ARRANGEMENTS,
  type SetKey,
  type SetKeyFault,
} from './families/gear-set/key';
export { CLUTCH_SLIPS } from './families/clutch/slips';
export { CONVERTER_SLIPS } from './families/converter/slips';
export { FAULT_SLIPS } from './families/fault/slips';
export { SET_SLIPS } from './families/gear-set/slips';
export { UNIT_SLIPS } from './families/unit/slips';
export { MISCONCEPTIONS, type Misconception } from './misconceptions';
export type { Named, Why } from './learners';
export { GEARBOX_FAMILY } from './families/gearbox/family';
export { GEARBOX_SLIPS } from './families/gearbox/slips';
export { complains, gearboxKey, type GearboxKey } from './families/gearbox/key';
export { newGearboxQuestion } from './families/gearbox/defaults';
export {
  bestDrive,
  crossingOf,
  crossingRig,
  drivenWith,
  pairOf,
  placesOf,
  rangesAt,
  upshifts,
} from './families/gearbox/runs';
export {
  BIND_REASONS,
  type BindReason,
  type DrawCrossingQuestion,
  type GearboxAnswer,
  type GearboxQuestion,
  type GearboxRig,
  type SetWaitingQuestion,
  type TwoGearsQuestion,
  type WhichSideQuestion,
} from './families/gearbox/kinds';
export { OIL_FAMILY } from './families/oil/family';
export { OIL_SLIPS } from './families/oil/slips';
export { oilKey, type OilKey } from './families/oil/key';
export { newOilQuestion } from './families/oil/defaults';
export { drivenUp, gearsFor, linesFor, standingFrom } from './families/oil/runs';
export { ballsOf, gaugeReads, standingWithout, takesHold } from './families/oil/balls';
export { gaugesOf, tellingBall } from './families/oil/defaults';
export { oilRigOf } from './carried';
export { canShift, exchangeIn, planSet, shiftedWith, shiftSet } from './families/oil/runs';
export { drawnLimits } from './families/oil/defaults';
export { bodyFor, turnedBy, type BoltOrder } from './families/oil/bolts';
export { handOverIn, handsAt, lineIn, shiftAsDrawn, sharesOf } from './families/oil/drawn';
export {
  BODY_LIMITS,
  type BoltOrderQuestion,
  DRAWN_AT,
  DRAWN_EVERY,
  EVEN,
  LEVEL,
  THIN_THREADS,
  type DrawnPressures,
  type DrawPressuresQuestion,
  type ShiftLimits,
  AS_MADE,
  SETTING_LIMITS,
  SHIFT_SETTINGS,
  type OilAnswer,
  type OilGauge,
  type OilQuestion,
  type OilRig,
  type ShiftSetting,
  type WhichBallQuestion,
} from './families/oil/kinds';
export { OWN_FAMILY } from './families/own/family';
export { STRIP_FAMILY } from './families/strip-down/family';
export { ownKey, type OwnKey } from './families/own/key';
export { newOwnQuestion } from './families/own/defaults';
export {
  OWN_PARTS,
  type OwnAnswer,
  type OwnChoiceQuestion,
  type OwnNumberQuestion,
  type OwnOrderQuestion,
  type OwnQuestion,
} from './families/own/kinds';
export { openingOrder } from './openingOrder';
export { DRAFT_SUBJECTS, type DraftRig, type DraftSubject } from './draftCandidates';
export { draftLesson } from './draftLesson';
export { termRows, type TermLesson, type TermRow } from './term';
export {
  separating,
  tellsOf,
  wayTo,
  wrongAnswers,
  type Separating,
  type Tells,
  type WrongAnswer,
} from './tells';
export { FORMS } from './families/gear-set/claims';
export type { VariantSeed } from './seed';
export {
  attemptScore,
  continuationOf,
  firstTries,
  mergedAttempt,
  type Attempt,
  type AttemptAnswer,
  type UnreadAnswer,
} from './attempt';
export { ANSWER_LIMITS } from './answerLimits';
export { checkSeal, sealed, signerFrom, type SealVerdict, type Signer } from './seal';
export {
  bookKeeper,
  classBook,
  confidenceTally,
  type ClassBook,
  type ClassCell,
  sameStudent,
  type ConfidenceTally,
  type SetAside,
} from './classBook';
export { newBlock, newLesson, newStep } from './defaults';
export { defaultSet, defaultSetup, newSetQuestion } from './families/gear-set/defaults';
export { newUnitQuestion } from './families/unit/defaults';
export { newConverterQuestion } from './families/converter/defaults';
export { misadjusted } from './families/clutch/setup';
export {
  clutchKey,
  fittedPack,
  handedOut,
  startSetup,
  type ClutchKey,
} from './families/clutch/key';
export {
  HOLD_ASKS,
  isPackQuestion,
  UPGRADE_ASKS,
  type ClutchAnswer,
  type ClutchQuestion,
  type ClutchRig,
  type DrawStartQuestion,
} from './families/clutch/kinds';
export { newClutchQuestion } from './families/clutch/defaults';
export type { ClutchBenchBlock, ClutchSetting, FaultTableBlock, PackBenchBlock } from './lesson';
export { deskFor, deskOf } from './families/fault/desk';
export { faultQuestionKey, type FaultKey, type FaultKeyResult } from './families/fault/key';
export { newFaultQuestion } from './families/fault/defaults';
export { newStripQuestion } from './families/strip-down/defaults';
export { stripKey, type StripKey } from './families/strip-down/key';
export {
  effectsOffered,
  laidJob,
  measuredGap,
  onlyThese,
  orderAnswers,
  shownOn,
  type LaidJob,
} from './families/strip-down/bench';
export { rulesOffered } from './families/strip-down/orderReasons';
export type {
  Becomes,
  StripAnswer,
  StripQuestion,
  StripSubject,
} from './families/strip-down/kinds';
export { diagnosed } from './families/fault/grade';
export {
  isCaseQuestion,
  type CaseQuestion,
  type DiagnoseQuestion,
  type FaultAnswer,
  type FaultQuestion,
  type FaultSubject,
  type SymptomRowQuestion,
  type WhichElementQuestion,
  type WhichTestQuestion,
} from './families/fault/kinds';
export { asks, onlyGears } from './onlyGears';
