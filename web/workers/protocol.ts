import type { StripPlan } from '../../core/assembly';
import type { SectionDrawing } from '../../core/drawing';
import type { Everything, EverythingResult, LessonPack, OpenFileResult } from '../../core/formats';
import type {
  Converter,
  Engine,
  FitStep,
  StatorFault,
  StreamlineModel,
  TableModel,
} from '../../core/converter';
import type { Duty, PackHeat, ClutchPack, UpgradeResult } from '../../core/clutch';
import type {
  EngagementPoint,
  EngagementResult,
  EngagementSetup,
  HandOverSample,
  SlipTest,
  SweptOfEngagement,
} from '../../core/shift';
import type {
  Answer,
  Candidate,
  Check,
  DeskEntry,
  Diagnosis,
  DiagnosisGrade,
  Draw,
  ExpertPath,
  CaseProblem,
  Fault,
  FaultCase,
  Reading,
  SymptomRow,
} from '../../core/faults';
import type {
  ChartRow,
  Combined,
  Range,
  SearchStep,
  ToothSearch,
  Unit,
  UnitFinding,
} from '../../core/geartrain';
import type {
  HydraulicPlan,
  MapSetting,
  OilShift,
  OilShiftResult,
  PlanFault,
  OilMap,
  Complaint,
  PlanWishes,
  ShiftSchool,
  UpshiftAsked,
} from '../../core/hydraulics';
import type {
  Attempt,
  ClassBook,
  FaultKeyResult,
  Lesson,
  SealVerdict,
  WhichTestQuestion,
  Misconception,
  Question,
  Separating,
} from '../../core/lesson';
import type { LaunchResult, Swept, SweepPoint, ThrottleStep, Vehicle } from '../../core/vehicle';

/** Messages between the page and the worker that opens and packs files. An error crosses as a value. */
export interface FileWorker {
  openFile(bytes: Uint8Array): OpenFileResult;
  packLesson(pack: LessonPack): Uint8Array;
  openEverything(bytes: Uint8Array): EverythingResult;
  packEverything(all: Everything): Uint8Array;
}

/** Messages between the page and the worker that lays drawings out. */
export interface DrawingWorker {
  sectionDrawing(
    unit: Unit,
    keep: readonly string[],
    onFirst: Told<SectionDrawing>,
  ): Promise<SectionDrawing>;
}

/**
 * Told of a step of the work. It goes its own way to the page, so the worker waits until it has arrived: the end of
 * the work must not come before its last step.
 */
export type Told<T> = (step: T) => void | Promise<void>;

/** Messages between the page and the workers that search tooth counts. */
export interface SearchWorker {
  searchTeeth(
    search: ToothSearch,
    part: { readonly index: number; readonly of: number },
    onStep: Told<SearchStep>,
  ): Promise<void>;
}

/** A launch as documents and numbers; the worker makes the models from them. */
export interface LaunchRequest {
  readonly engine: Engine;
  readonly converter: Converter;
  readonly fault: StatorFault | null;
  readonly vehicle: Vehicle;
  readonly gears: readonly number[];
  readonly throttle: readonly ThrottleStep[];
  /** Rise over run. */
  readonly grade: number;
  readonly lockUp: boolean;
  readonly seconds: number;
  /** What an oil plan decides; without it the vehicle's schedule does. */
  readonly map?: OilMap;
}

/** A launch run again and again while one thing goes from one value to another. */
export interface SweepRequest {
  readonly request: LaunchRequest;
  readonly swept: Swept;
  readonly from: number;
  readonly to: number;
  readonly runs: number;
  /** m/s whose time is taken. */
  readonly target: number;
}

/** Messages between the page and the worker that runs launches and fits blades. */
export interface ConverterWorker {
  launch(request: LaunchRequest): LaunchResult;
  sweep(request: SweepRequest, onPoint: Told<SweepPoint>): Promise<void>;
  fit(table: TableModel, start: StreamlineModel, onStep: Told<FitStep>): Promise<void>;
}

/** A clutch engaging on a drivetrain, as documents and numbers; the worker makes the models from them. */
export type EngagementRequest = Omit<EngagementSetup, 'engine' | 'step' | 'estimate'> & {
  readonly engine: Engine;
};

export interface EngagementSweepRequest {
  readonly request: EngagementRequest;
  readonly swept: SweptOfEngagement;
  readonly from: number;
  readonly to: number;
  readonly runs: number;
}

/** What a pack does in its duty, and with each upgrade. */
export interface PackReport {
  readonly heat: PackHeat;
  readonly upgrades: readonly UpgradeResult[];
}

/** One of several starts: how hot it got, and how warm the next begins, °C. */
export interface StartInARow {
  readonly peakC: number;
  readonly cooledC: number;
  readonly slipping: boolean;
  readonly stalled: boolean;
}

/** Messages between the page and the worker that runs engagements and heats packs. */
export interface ClutchWorker {
  engage(request: EngagementRequest): EngagementResult;
  inARow(request: EngagementRequest, times: number, wait: number): StartInARow[];
  slipTest(request: EngagementRequest): SlipTest;
  roadSlipTest(
    request: EngagementRequest,
    turnsForWheel: number,
  ): { readonly verdict: 'holds' | 'slips'; readonly run: EngagementResult };
  sweep(
    request: EngagementSweepRequest,
    part: { readonly index: number; readonly of: number },
    onPoint: Told<EngagementPoint>,
  ): Promise<void>;
  pack(pack: ClutchPack, duty: Duty): PackReport;
}

/** A shift map of a plan as it is. */
export interface OilMapRequest {
  readonly plan: HydraulicPlan;
  readonly faults: readonly PlanFault[];
  readonly setting: MapSetting;
  /** Whose ranges a control unit commands. */
  readonly unit: Unit | null;
}

/** A shift over time of a plan as it is. */
export interface OilShiftRequest extends Omit<OilShift, 'circuit'> {
  readonly plan: HydraulicPlan;
  readonly faults: readonly PlanFault[];
}

/** An upshift set as each school sets it; the plan is the one as it was made. */
export interface OilSchoolsRequest extends Omit<OilShift, 'circuit'> {
  readonly plan: HydraulicPlan;
  readonly wishes: PlanWishes;
}
export type OilSchools = Readonly<Record<ShiftSchool, OilShiftResult>>;

/** What a driver can tell of a plan, beside the same as it was made. */
export interface OilComplaintRequest extends Omit<UpshiftAsked, 'gear' | 'gears'> {
  readonly made: HydraulicPlan;
  readonly plan: HydraulicPlan;
  readonly faults: readonly PlanFault[];
  readonly idleRpm: number;
}

/** A plan to be made. */
export interface OilPlanRequest {
  readonly unit: Unit;
  readonly wishes: PlanWishes;
}

/** Messages between the page and the worker that computes oil. */
export interface OilWorker {
  plan(request: OilPlanRequest): HydraulicPlan;
  map(request: OilMapRequest): OilMap;
  shift(request: OilShiftRequest): OilShiftResult;
  schools(request: OilSchoolsRequest): OilSchools;
  complaint(request: OilComplaintRequest): Complaint;
}

/** So much of a piece of work is done. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** Every single fault of a machine with what each check reads, and the machine as it should be. */
export interface AtlasTable {
  readonly checks: readonly Check[];
  readonly sound: Candidate;
  readonly rows: readonly Candidate[];
}

/** A case as it lies on the desk: all that could be wrong, and not a word of what is. */
export interface OpenedDesk {
  readonly checks: readonly Check[];
  readonly candidates: readonly Candidate[];
  readonly sound: Candidate;
  readonly complaint: readonly Reading[];
}

/** A shift as it is and as it should be; `null` where it can't be driven. */
export interface ShiftTraces {
  readonly now: readonly HandOverSample[] | null;
  readonly sound: readonly HandOverSample[] | null;
}

/** What an instructor sees of a case that is being written. */
export interface CaseReport {
  readonly problems: readonly CaseProblem[];
  readonly complaint: readonly Reading[];
  /** Faults that read alike in everything the complaint says. */
  readonly alike: number;
  readonly expert: ExpertPath | null;
}

/** Messages between the page and the worker that looks at faults. One worker holds one open case. */
export interface FaultWorker {
  atlas(unit: Unit): AtlasTable;
  pairs(unit: Unit, onStep: Told<Progress>): Promise<SymptomRow[]>;
  /** @param draw another fault for the machine of that case @throws Error when none can be drawn */
  open(faultCase: FaultCase, draw: Draw | null, onStep: Told<Progress>): Promise<OpenedDesk>;
  /** Of the open case. */
  read(check: string): Answer;
  /** A shift of the open case, `D1>D2`, and of a sound machine, through time. */
  shift(pair: string): ShiftTraces;
  /** Pairs of faults that give all of these readings, the likeliest first. */
  pairsThatFit(readings: readonly Reading[]): Fault[][];
  grade(entries: readonly DeskEntry[], diagnosis: Diagnosis): DiagnosisGrade;
  /** The key of a question about the open case. */
  rank(question: WhichTestQuestion): FaultKeyResult;
  /** The same of a case that is not open. */
  keyOf(question: WhichTestQuestion, faultCase: FaultCase): FaultKeyResult;
  report(faultCase: FaultCase): CaseReport;
}

/** Messages between the page and the worker that grades a class. */
export interface BookRequest {
  readonly lesson: Lesson;
  readonly attempts: readonly Attempt[];
  /** Ids of the records that count where a student has several. */
  readonly chosen: readonly string[];
  /** Earlier versions of the lesson, by their hash. */
  readonly versions: Readonly<Record<string, Lesson>>;
}

export interface GradedBook {
  readonly book: ClassBook;
  readonly seals: readonly { readonly id: string; readonly verdict: SealVerdict }[];
}

/** Which draw of a question tells most; or one way of thinking best. */
export interface SeparatingRequest {
  readonly lesson: Lesson;
  readonly question: Question;
  readonly slip: Misconception | null;
}

export interface GradingWorker {
  book(request: BookRequest): GradedBook;
  separating(request: SeparatingRequest): Separating | null;
}

/** What is worked out of a whole unit. */
export interface UnitFigures {
  /** Of the forward ranges, in order. */
  readonly ratios: readonly number[];
  readonly findings: readonly UnitFinding[];
}

export interface UnitWorker {
  figures(unit: Unit): UnitFigures;
  chartRows(unit: Unit, ranges: readonly Range[]): readonly ChartRow[];
  combined(unit: Unit): Combined;
  /** Without bolts, gaskets, needles and the like. */
  mainPlan(unit: Unit): StripPlan;
  fullPlan(unit: Unit): StripPlan;
}
